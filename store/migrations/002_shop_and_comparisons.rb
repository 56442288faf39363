# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    alter_table(:machines) { add_column :retired_at, :text }
    from(:machines).where(kind: "motorcycle").update(kind: "road")

    create_table(:settings, strict: true) do
      column :name, :text, primary_key: true
      column :value, :text, null: false
    end

    create_table(:comparisons, strict: true) do
      column :id, :text, primary_key: true
      foreign_key :circuit_id, :circuits, type: :text, null: false, foreign_key_constraint_name: :comparison_of_circuit
      foreign_key :job_id, :jobs, type: :text, foreign_key_constraint_name: :comparison_of_job
      column :name, :text, null: false
      column :at, :text, null: false
      column :body, :text, null: false
      index :circuit_id
    end
  end

  down do
    drop_table(:comparisons, :settings)
    alter_table(:machines) { drop_column :retired_at }
  end
end
