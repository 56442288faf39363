# frozen_string_literal: true

RSpec.describe "Lists", :api do
  def send_list(path, text, take: false)
    ask(:post, "#{path}/lists#{"?take=true" if take}", raw: text.dup, headers: {"Content-Type" => "text/csv"})
  end

  def told(answer)
    answer["rows"].map { |row| row.values_at("line", "does") }
  end

  describe "of machines" do
    let(:list) do
      <<~CSV
        Machine;Type;Plate;Stands;Used;Hours;Circuits
        Sledge 7;Snowmobile;R7;hut;hire;412;
        Tourer;road;;;;;#{labels("road_front_twin", "road_rear")}
        Tourer;road;;;;;
      CSV
    end

    def labels(*ids)
      ids.map { |id| Sandbag::Tables.find("circuit_templates", id)["label"] }.join(" | ")
    end

    it "say of each line what it would do, and do nothing until they are taken in" do
      answer = send_list("/machines", list)
      expect(told(answer)).to eq [[2, "add"], [3, "add"], [4, "pass_over"]]
      expect(answer).to include("taken" => false, "counts" => {"add" => 2, "pass_over" => 1, "refuse" => 0})
      expect(ask(:get, "/machines")["items"]).to eq []
    end

    it "come in with their circuits, and the same list again adds nothing" do
      expect(send_list("/machines", list, take: true)).to include("taken" => true)
      sledge, tourer = ask(:get, "/machines")["items"]
      expect(sledge).to include("name" => "Sledge 7", "mark" => "R7", "place" => "hut", "use" => "hire",
        "meter" => "412")
      expect(tourer["circuits"].map { |circuit| circuit["kind"] }).to eq %w[brake_hand brake_foot]
      expect(ask(:get, "/due?days=3650")["items"].size).to be >= 3
      expect(send_list("/machines", list, take: true)).to include("taken" => false)
      expect(ask(:get, "/machines")["items"].size).to eq 2
    end

    it "are read again where something was added while they were read: nothing is added twice" do
      shop = App::Memory.new.shop(store)
      due_book = App::DueBook.new(store, shop, Date.new(2026, 3, 14))
      read = App::MachineList.new(store, due_book, shop).read("name,kind\nMine,kart\n")
      send_list("/machines", "name,kind\nMine,kart\n", take: true)
      expect { read.take(store) }.to raise_error(App::JobDesk::Busy)
      expect(ask(:get, "/machines")["items"].size).to eq 1
    end

    it "come in whole or not at all, each wrong line with its reason" do
      answer = send_list("/machines", "name,kind\nGood,kart\nBad,boat\n", take: true)
      expect(told(answer)).to eq [[2, "add"], [3, "refuse"]]
      expect(answer["rows"].last["says"]).to start_with "“boat” is not known; accepted: Road motorcycle"
      expect(answer["taken"]).to be false
      expect(ask(:get, "/machines")["items"]).to eq []
    end

    it "refuse a line without a name, and one with more than a name holds, and lose nothing of either" do
      answer = send_list("/machines", "name,kind,place\n,kart,shed\n#{"x" * 121},kart,\nGood,kart,#{"y" * 121}\n",
        take: true)
      expect(last_response.status).to eq 200
      expect(told(answer)).to eq [[2, "refuse"], [3, "refuse"], [4, "refuse"]]
      expect(answer["rows"].map { |row| row["says"][/\A\w+: [^;]+/] })
        .to eq ["name: no name is said", "name: it is too long", "place: it is too long"]
      expect(ask(:get, "/machines")["items"]).to eq []
    end

    ["", "\n\n", "model\nx\n", "name,name,kind\na,b,kart\n", "name,kind\n\"open,kart\n", "\x00\x01",
      "name,kind\n#{"x,kart\n" * 2001}"].each do |wrong|
      it "refuse #{wrong[0, 20].inspect} with its line" do
        answer = send_list("/machines", wrong)
        expect([last_response.status, pointers(answer)]).to eq [422, ["file"]]
        expect(answer["errors"].first["message"]).to match(/\Aline \d+:/)
      end
    end
  end

  describe "of parts" do
    let(:list) do
      "Kind,Part,Bin,Quantity,Price,bore,metal,fluid,size\n" \
        "Crush washers,M10 copper,A1,50,0.12,10,copper,,\n" \
        "bottle,DOT 4 new,B2,,9.80,,,dot4,500\n"
    end

    it "go on the shelf with their fields, and the same list again adds nothing" do
      expect(told(send_list("/shelf", list, take: true))).to eq [[2, "add"], [3, "add"]]
      washer, bottle = ask(:get, "/shelf")["items"]
      expect(washer).to include("kind" => "washer", "amount" => 50.0, "place" => "A1", "price_minor" => 12)
      expect(washer["fields"]).to include("bore" => 10.0, "metal" => "copper")
      expect(bottle).to include("amount" => 500.0)
      expect(told(send_list("/shelf", list, take: true))).to eq [[2, "pass_over"], [3, "pass_over"]]
    end

    it "say which cell is wrong" do
      answer = send_list("/shelf", "kind,name,bore,metal\nwasher,odd,ten,copper\nwasher,odder,10,gold\n")
      expect(answer["rows"].map { |row| row["says"][/\A\w+/] }).to eq %w[bore metal]
    end
  end
end
