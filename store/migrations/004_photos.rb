# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    create_table(:photos, strict: true) do
      column :id, :text, primary_key: true
      foreign_key :job_id, :jobs, type: :text, null: false, foreign_key_constraint_name: :photo_of_job
      column :at, :text, null: false
      column :width, :integer, null: false
      column :height, :integer, null: false
      column :jpeg, :blob, null: false
    end
  end

  down do
    drop_table(:photos)
  end
end
