# frozen_string_literal: true

# A job that is asked what can stop it.
module StoppedJob
  def job(plain = twin_disc_plain)
    JobInMemory.new(plain.is_a?(Hash) ? sheet(plain) : plain)
  end

  def find(worked, **findings)
    findings.each { |finding, value| worked.add("ask", "finding", {"finding" => finding.to_s, "value" => value}) }
  end

  def answer(worked, **answers)
    answers.each { |question, value| worked.add("ask", "intake", {"question" => question.to_s, "value" => value}) }
  end

  def route(worked, id)
    worked.add("ask", "route", {"route" => id})
  end
end
