# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    # what each archive brought, so that it can be taken back until something rests on it
    create_table(:imports, strict: true) do
      column :id, :text, primary_key: true
      column :at, :text, null: false
      column :body, :text, null: false
    end
  end

  down do
    drop_table(:imports)
  end
end
