# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    create_table(:stock_moves, strict: true) do
      primary_key :position
      column :id, :text, null: false
      column :item, :text, null: false
      column :kind, :text, null: false
      column :data, :text, null: false
      column :at, :text, null: false
      column :by, :text, null: false
      unique :id, name: :stock_move_id
    end
  end

  down do
    drop_table(:stock_moves)
  end
end
