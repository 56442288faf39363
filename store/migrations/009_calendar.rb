# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    alter_table(:machines) do
      # the owner's own name or number for it; where it stands; of machine_uses.yml; odometer or hours as read
      add_column :mark, :text, null: false, default: ""
      add_column :place, :text, null: false, default: ""
      add_column :used_for, :text, null: false, default: "daily"
      add_column :meter, :text, null: false, default: ""
    end

    # the re-check that a job was opened for
    alter_table(:jobs) { add_column :follows, :text }

    # what falls due on each circuit, worked out again whenever its record changes
    create_table(:dues, strict: true) do
      foreign_key :circuit_id, :circuits, type: :text, null: false, foreign_key_constraint_name: :due_of_circuit
      column :kind, :text, null: false
      column :part, :text, null: false, default: ""
      column :due_on, :text, null: false
      column :label, :text, null: false
      column :why, :text, null: false
      primary_key %i[circuit_id kind part], name: :due_of_a_kind
      index :due_on, name: :dues_by_day
    end

    # what signed jobs want looked at again, until another job on the circuit has
    create_table(:rechecks, strict: true) do
      column :id, :text, primary_key: true
      foreign_key :job_id, :jobs, type: :text, null: false, foreign_key_constraint_name: :recheck_of_job
      foreign_key :circuit_id, :circuits, type: :text, null: false, foreign_key_constraint_name: :recheck_of_circuit
      column :label, :text, null: false
      column :due_on, :text, null: false
      foreign_key :done_by, :jobs, type: :text, foreign_key_constraint_name: :recheck_done_by
      index %i[done_by due_on], name: :rechecks_by_day
      index :circuit_id, name: :rechecks_of_circuit
    end
  end

  down do
    drop_table(:rechecks, :dues)
    alter_table(:jobs) { drop_column :follows }
    alter_table(:machines) do
      drop_column :meter
      drop_column :used_for
      drop_column :place
      drop_column :mark
    end
  end
end
