# frozen_string_literal: true

require "json"

Sequel.migration do
  transaction

  up do
    # what every signed job found its lever to be: as it came in, and as it went
    create_table(:levers, strict: true) do
      foreign_key :job_id, :jobs, type: :text, null: false, foreign_key_constraint_name: :lever_of_job
      column :place, :integer, null: false
      foreign_key :circuit_id, :circuits, type: :text, null: false, foreign_key_constraint_name: :lever_of_circuit
      column :at, :text, null: false
      column :body, :text, null: false
      primary_key %i[job_id place], name: :lever_of_a_job
      index %i[circuit_id at], name: :levers_of_circuit
    end

    # the newest of each circuit, with how near to its limit it was and how fast it goes there
    create_table(:lever_standings, strict: true) do
      foreign_key :circuit_id, :circuits, type: :text, primary_key: true,
        foreign_key_constraint_name: :standing_of_circuit
      column :day, :integer, null: false
      column :share, :real, null: false
      column :share_per_day, :real, null: false
      column :due_on, :text
      column :body, :text, null: false
    end

    # jobs signed before levers were put on file: how they went, out of their records
    from(:jobs).exclude(record: nil).exclude(closed_at: nil)
      .select(:id, :circuit_id, :closed_at,
        Sequel.lit("json_extract(record, '$.stages.feel.verdict')").as(:verdict),
        Sequel.lit("json_extract(record, '$.stages.feel.fit')").as(:fit),
        Sequel.lit("json_type(record, '$.stages.bleed')").as(:bled)).each do |job|
      next unless job[:verdict] && job[:fit]
      verdict, fit = JSON.parse(job[:verdict]), JSON.parse(job[:fit])
      body = {
        "v" => 0, "at" => job[:closed_at], "state" => "went", "bled" => !job[:bled].nil?,
        "cost_mm" => verdict["cost_mm"], "cost_error_mm" => verdict["cost_error_mm"], "limit_mm" => verdict["pass_mm"],
        "air_ml" => fit["air_ml"], "air_error_ml" => fit["air_error_ml"],
        "dead_mm" => [fit["dead_volume_ml"], 0].max * fit["mm_per_ml"],
        "dead_error_mm" => Math.sqrt(fit["covariance"][0][0]) * fit["mm_per_ml"],
        "stiffness_ml_mpa" => fit["stiffness_ml_mpa"], "stiffness_error_ml_mpa" => Math.sqrt(fit["covariance"][1][1])
      }
      next if body.value?(nil)
      from(:levers).insert(job_id: job[:id], place: 1, circuit_id: job[:circuit_id], at: job[:closed_at],
        body: JSON.generate(body))
    end
  end

  down do
    drop_table(:lever_standings, :levers)
  end
end
