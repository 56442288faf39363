# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    alter_table(:entries) do
      # when the server took the entry, beside when it is said to have been made
      add_column :received_at, :text
      # what the device said, where its clock was wrong by more than a day and the time was put right
      add_column :said_at, :text
    end
  end

  down do
    alter_table(:entries) do
      drop_column :said_at
      drop_column :received_at
    end
  end
end
