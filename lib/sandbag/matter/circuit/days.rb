# frozen_string_literal: true

require "date"

module Sandbag
  module Circuit
    # Days in a circuit's record: when something was last changed, renewed, tested or looked at.
    module Days
      # Refuses, at parts/<id>/<field>, a day that has not come yet.
      # @param sheet [Sheet]; today [Date]
      def self.refuse_future(sheet, today)
        sheet.parts.each do |part|
          PartFields.of(part["part"], sheet.kind.id).select { |field| field.type == "date" }.each do |field|
            day = sheet.values(part)[field.name].value
            next if day.nil? || day == Fluid::Age::UNKNOWN || Date.iso8601(day) <= today
            raise Refusal.at("parts/#{part["id"]}/#{field.name}",
              "#{Wording.inside(field.label)}, #{day}, has not come yet",
              "a day up to today, #{today.iso8601}, or unknown")
          end
        end
      end
    end
  end
end
