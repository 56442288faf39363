# frozen_string_literal: true

require "prism"

# Which file of the core names which: every constant that a file mentions, resolved as Ruby would resolve it.
class Arrows
  # @param root [String] folder of the library; top [Module] what it defines
  def initialize(root, top)
    @root = root
    @top = top
  end

  # @return [Array<Array(String, String)>] pairs of paths below the root, without extension: who names whom
  def pairs
    @pairs ||= files.flat_map { |path| named_by(path).map { |to| [below(path), to] } }.uniq.sort
  end

  # The stages that a file asks through its job: `job.bleed`, `@stage.job.feel`, `@ask.job.stages["fit"]`.
  # @return [Array<String>]
  def self.asked_of_stages(path)
    visitor = Asked.new
    Prism.parse_file(path).value.accept(visitor)
    visitor.stages.uniq
  end

  private

  def files = Dir["#{@root}/**/*.rb"].sort

  def below(path) = path.delete_prefix("#{@root}/").delete_suffix(".rb")

  def named_by(path)
    visitor = Names.new
    Prism.parse_file(path).value.accept(visitor)
    visitor.names.filter_map { |scopes, name| home(scopes, name) }.uniq - [below(path)]
  end

  # The file where the constant is defined, looked for from the innermost scope outwards. What the whole library is
  # called, and what is not ours, has none.
  def home(scopes, name)
    [*scopes.reverse, nil].each do |scope|
      whole = [scope, name].compact.join("::")
      path = source(whole)
      return below(path) if path&.start_with?("#{@root}/") && whole != @top.name
    end
    nil
  end

  def source(name)
    @sources ||= {}
    @sources.fetch(name) { @sources[name] = look_up(name) }
  end

  def look_up(name)
    Object.const_source_location(name, false)&.first if Object.const_defined?(name, false)
  rescue NameError
    nil
  end

  # Collects constants with the scopes they stand in.
  class Names < Prism::Visitor
    attr_reader :names

    def initialize
      @names = []
      @scopes = []
      super
    end

    def visit_module_node(node) = within(node)

    def visit_class_node(node)
      node.superclass&.accept(self)
      within(node)
    end

    def visit_constant_read_node(node)
      @names << [@scopes.dup, node.name.to_s]
    end

    def visit_constant_path_node(node)
      @names << [@scopes.dup, node.full_name]
    rescue Prism::ConstantPathNode::DynamicPartsInConstantPathError
      super
    end

    private

    def within(node)
      @scopes.push([@scopes.last, node.constant_path.slice].compact.join("::"))
      node.body&.accept(self)
      @scopes.pop
    end
  end

  # Collects the names of stages that are called on a job.
  class Asked < Prism::Visitor
    attr_reader :stages

    def initialize
      @stages = []
      super
    end

    def visit_call_node(node)
      @stages << node.name.to_s if Sandbag::STAGES.include?(node.name.to_s) && job?(node.receiver)
      @stages << node.arguments.arguments.first.unescaped if named_stage?(node)
      super
    end

    private

    def job?(receiver)
      case receiver
      when Prism::CallNode then receiver.name == :job
      when Prism::InstanceVariableReadNode then %i[@job @state].include?(receiver.name)
      when Prism::LocalVariableReadNode then %i[job state].include?(receiver.name)
      end
    end

    # stages["fit"], stages.key?("fit"), stage("fit")
    def named_stage?(node)
      return unless node.arguments&.arguments&.first.is_a?(Prism::StringNode)
      return true if node.name == :stage && job?(node.receiver)
      receiver = node.receiver
      receiver.is_a?(Prism::CallNode) && receiver.name == :stages && job?(receiver.receiver)
    end
  end
end
