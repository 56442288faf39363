# frozen_string_literal: true

module Sandbag
  module Shelf
    # Checks a move's data against knowledge/stock_moves.yml, and the fields of a thing against shelf_fields.yml.
    module MoveReader
      # @param item [Item, nil] the thing as it is
      # @return [Move] with its data read
      # Refuses, at data/<name>, an unknown kind, a move the kind of thing does not make, and values outside their
      # limits.
      def self.read(move, item)
        row = Tables.fetch("stock_moves", move.kind, "kind", "nothing on a shelf is #{Wording.quoted(move.kind)}")
        data = Refusal.within("data") { DataReader.read(row["data"], move.data) }
        kind = item ? item.kind : data["kind"]
        unless kind.nil? || row["for"].include?(kind)
          raise Refusal.at("kind", "a #{kind} is not #{move.kind}", row["for"].join(", "))
        end
        if data.key?("fields") && kind
          data =
            data.merge(
              "fields" => Refusal.within("data/fields") { fields(kind, data["fields"], move.kind == "added") }
            )
        end
        move.with(data: data)
      end

      # A move that was stored, and is not judged again, can still be read.
      # @param move [Move]
      def self.whole?(move)
        row = Tables.find("stock_moves", move.kind)
        return false unless row && move.data.is_a?(Hash)
        wanted = row["data"].keys.reject { |name| name.end_with?("?") }
        (wanted - move.data.keys).empty? && (move.kind != "added" || move.data["fields"].is_a?(Hash))
      end

      def self.fields(kind, given, all)
        rules = Tables.rows("shelf_fields").select { |row| row["kind"] == kind }
        wanted = rules.to_h do |row|
          optional = row["optional"] || !all
          [optional ? "#{row["field"]}?" : row["field"], row["rule"]]
        end
        contents = wanted.delete("contents") || wanted.delete("contents?")
        return DataReader.read(wanted, given) unless contents
        read = DataReader.read(wanted, given.except("contents"))
        return read if given["contents"].nil? && !all
        read.merge("contents" => Refusal.within("contents") { Cylinder::KitContents.read(given["contents"]) })
      end
      private_class_method :fields
    end
  end
end
