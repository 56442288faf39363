# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    # the circuit whose far end it shares: a second cylinder works on the same calipers
    alter_table(:circuits) { add_column :joined_to, :text }
    add_index :circuits, :joined_to
  end

  down do
    alter_table(:circuits) do
      drop_index :joined_to
      drop_column :joined_to
    end
  end
end
