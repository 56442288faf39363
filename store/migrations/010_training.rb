# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    # made up, or kept to learn on: a simulated instrument may be read on it
    alter_table(:machines) { add_column :training, :integer, null: false, default: 0 }
  end

  down do
    alter_table(:machines) { drop_column :training }
  end
end
