# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    create_table(:machines, strict: true) do
      column :id, :text, primary_key: true
      column :name, :text, null: false
      column :kind, :text, null: false
      column :note, :text, null: false, default: ""
    end

    create_table(:circuits, strict: true) do
      column :id, :text, primary_key: true
      foreign_key :machine_id, :machines, type: :text, null: false, foreign_key_constraint_name: :circuit_of_machine
      column :name, :text, null: false
      column :sheet, :text, null: false
      index :machine_id
    end

    create_table(:jobs, strict: true) do
      column :id, :text, primary_key: true
      foreign_key :circuit_id, :circuits, type: :text, null: false, foreign_key_constraint_name: :job_of_circuit
      column :opened_at, :text, null: false
      # set together when the job is signed: the circuit as it stood, so that the record never moves
      column :closed_at, :text
      column :sheet, :text
      index %i[closed_at opened_at]
    end

    create_table(:entries, strict: true) do
      column :id, :text, primary_key: true
      foreign_key :job_id, :jobs, type: :text, null: false, foreign_key_constraint_name: :entry_of_job
      column :position, :integer, null: false
      column :stage, :text, null: false
      column :kind, :text, null: false
      column :data, :text, null: false
      column :at, :text, null: false
      column :by, :text, null: false
      column :corrects, :text
      unique %i[job_id position], name: :entry_position
    end
  end

  down do
    drop_table(:entries, :jobs, :circuits, :machines)
  end
end
