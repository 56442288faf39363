# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    alter_table(:jobs) do
      # where the job stands, for lists, and what that was worked out from; it is worked out again when they differ
      add_column :headline, :text
      add_column :headline_of, :text
      # everything the signature closed: read from then on, never worked out again
      add_column :record, :text
      add_index %i[circuit_id opened_at], name: :jobs_of_circuit
      add_index %i[opened_at id], name: :jobs_by_age
    end
    # goes up with every change of the sheet
    alter_table(:circuits) { add_column :revision, :integer, null: false, default: 0 }
    alter_table(:machines) { add_index %i[name id], name: :machines_by_name }
    alter_table(:stock_moves) { add_index %i[item position], name: :moves_of_item }
    alter_table(:photos) { add_index :job_id, name: :photos_of_job }
  end

  down do
    alter_table(:photos) { drop_index :job_id, name: :photos_of_job }
    alter_table(:stock_moves) { drop_index %i[item position], name: :moves_of_item }
    alter_table(:machines) { drop_index %i[name id], name: :machines_by_name }
    alter_table(:circuits) { drop_column :revision }
    alter_table(:jobs) do
      drop_index %i[opened_at id], name: :jobs_by_age
      drop_index %i[circuit_id opened_at], name: :jobs_of_circuit
      drop_column :record
      drop_column :headline_of
      drop_column :headline
    end
  end
end
