# frozen_string_literal: true

Sequel.migration do
  transaction

  up do
    # since when the job is put away as referred; null while it is on the bench
    alter_table(:jobs) { add_column :referred_at, :text }
  end

  down do
    alter_table(:jobs) { drop_column :referred_at }
  end
end
