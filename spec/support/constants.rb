# frozen_string_literal: true

require "prism"

# Constants that hold a number, by the modules they stand in.
class Constants < Prism::Visitor
  # @return [Array<String>] without the library's own name
  def self.numeric(folder)
    Dir["#{folder}/**/*.rb"].sort.flat_map do |path|
      new.tap { |visitor| Prism.parse_file(path).value.accept(visitor) }.names
    end
  end

  attr_reader :names

  def initialize
    @names = []
    @scopes = []
    super
  end

  def visit_module_node(node) = within(node)

  def visit_class_node(node) = within(node)

  def visit_constant_write_node(node)
    keep(node.name) if number?(node.value)
  end

  def visit_multi_write_node(node)
    values = node.value.is_a?(Prism::ArrayNode) ? node.value.elements : []
    node.lefts.zip(values).each { |left, value| keep(left.name) if value && number?(value) }
  end

  private

  def within(node)
    @scopes.push(node.constant_path.slice)
    node.body&.accept(self)
    @scopes.pop
  end

  def keep(name)
    @names << [*@scopes.drop(1), name].join("::")
  end

  # A literal, a sum of literals, or a figure of the tables.
  def number?(node)
    case node
    when Prism::IntegerNode, Prism::FloatNode then true
    when Prism::CallNode
      (node.receiver && number?(node.receiver)) || node.slice.match?(/Figures\.value/)
    else false
    end
  end
end
