# frozen_string_literal: true

require "prism"

# Names of methods that code defines, and every name that it calls, sends or writes as a word.
class NamesUsed < Prism::Visitor
  attr_reader :defined, :called

  def initialize
    @defined = []
    @called = []
    super
  end

  def visit_def_node(node)
    @defined << node.name.to_s
    super
  end

  def visit_call_node(node)
    @called << node.name.to_s
    super
  end

  def visit_symbol_node(node) = @called << node.unescaped

  def visit_string_node(node) = @called << node.unescaped
end
