# frozen_string_literal: true

# A limit of the core, by the constants that hold it, and what is seen just inside it and just beyond it: one line of a
# table of limits.
#
#   both_sides "Feel::HoldCheck::CREEP_LIMIT_MM", 2.0 => true, 2.01 => false do |creep|
#     Sandbag::Feel::HoldCheck.of(creep, control)[:pass]
#   end
module BothSides
  def both_sides(*constants, **seen, &observed)
    it "#{constants.first.split("::").last(2).join("::")}: #{seen.map { |input, result|
      "#{input} gives #{result}"
    }.join(", ")}" do
      expect(seen.keys.to_h { |input| [input, instance_exec(input, &observed)] }).to eq seen
    end
  end
end

# Whether the core takes what a block gives it.
module Takes
  def taken?
    yield
    true
  rescue Sandbag::Refusal
    false
  end

  def refused?(&given) = !taken?(&given)
end

RSpec.configure do |config|
  config.extend BothSides
  config.include Takes
end
