using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace Lumbeck.Mutants;

/// <summary>
/// A project in which each figure asks, as it runs, whether it is the one that is larger today: it is compiled once for
/// all of them, and says which were asked for. A figure that must be a constant can't ask, and is compiled by itself.
/// </summary>
internal sealed class Switched
{
    /// <summary>Names the figure that is larger, and the file that is told which were asked for.</summary>
    public const string On = "LUMBECK_MUTANT", Seen = "LUMBECK_MUTANTS_SEEN";

    private const string Asking = """
        internal static class MutantSwitch
        {
            private static readonly int On = int.TryParse(System.Environment.GetEnvironmentVariable("LUMBECK_MUTANT"),
                out var n) ? n : -1;
            private static readonly bool[] Seen = Begin();
            private static bool[] Begin()
            {
                var seen = new bool[10000];
                if (System.Environment.GetEnvironmentVariable("LUMBECK_MUTANTS_SEEN") is { Length: > 0 } file)
                    System.AppDomain.CurrentDomain.ProcessExit += (_, _) =>
                    {
                        var all = new System.Text.StringBuilder();
                        for (var i = 0; i < seen.Length; i++) if (seen[i]) all.Append(i).Append(' ');
                        System.IO.File.WriteAllText(file, all.ToString());
                    };
                return seen;
            }
            public static int Of(int id, int was, int larger) { Seen[id] = true; return id == On ? larger : was; }
            public static long Of(int id, long was, long larger) { Seen[id] = true; return id == On ? larger : was; }
            public static double Of(int id, double was, double larger) { Seen[id] = true; return id == On ? larger
                : was; }
            public static decimal Of(int id, decimal was, decimal larger) { Seen[id] = true; return id == On ? larger
                : was; }
            public static float Of(int id, float was, float larger) { Seen[id] = true; return id == On ? larger : was; }
        }
        """;

    private readonly Rebuilt _project;
    private readonly IReadOnlyList<Mutant> _all;
    private readonly HashSet<int> _constant = [];
    private readonly HashSet<string> _constants = [];

    /// <param name="project">The project.</param>
    /// <param name="all">Its figures; each goes by its place in this list.</param>
    public Switched(Rebuilt project, IReadOnlyList<Mutant> all) => (_project, _all) = (project, all);

    /// <summary>Whether a figure can ask.</summary>
    public bool Asks(int figure) => !_constant.Contains(figure);

    /// <summary>Writes the assembly; what the compiler wants to be constant is left as it is.</summary>
    public void Write(string path)
    {
        for (var round = 0; round < 12; round++)
        {
            var whole = _project.Whole.AddSyntaxTrees(CSharpSyntaxTree.ParseText(Asking, Rebuilt.Parsing));
            foreach (var file in _all.Index().GroupBy(m => m.Item.Path))
            {
                var old = _project.Whole.SyntaxTrees.First(t => t.FilePath == file.Key);
                var now = new Asker(this, file.ToDictionary(m => m.Item.At.From, m => m.Index)).Visit(old.GetRoot());
                whole = whole.ReplaceSyntaxTree(old, CSharpSyntaxTree.Create((CSharpSyntaxNode)now, Rebuilt.Parsing,
                    old.FilePath));
            }
            var wrong = whole.GetDiagnostics().Where(d => d.Severity == DiagnosticSeverity.Error).ToList();
            if (wrong.Count == 0)
            {
                if (_project.Write(whole, path) is { } why) throw new InvalidOperationException(why);
                return;
            }
            foreach (var error in wrong) Leave(error);
        }
        throw new InvalidOperationException("what must be constant was not found out");
    }

    /// <summary>Leaves the figures that an error is about, or the constant that it names, as they are.</summary>
    private void Leave(Diagnostic error)
    {
        var text = error.Location.SourceTree!.GetText().ToString(error.Location.SourceSpan);
        var asked = System.Text.RegularExpressions.Regex.Matches(text, @"MutantSwitch\.Of\((\d+),");
        foreach (System.Text.RegularExpressions.Match m in asked)
            _constant.Add(int.Parse(m.Groups[1].Value, System.Globalization.CultureInfo.InvariantCulture));
        foreach (System.Text.RegularExpressions.Match m in System.Text.RegularExpressions.Regex.Matches(text,
            @"[A-Za-z_]\w*"))
            _constants.Add(m.Value);
    }

    private sealed class Asker(Switched of, Dictionary<int, int> figures) : CSharpSyntaxRewriter
    {
        public override SyntaxNode? VisitLiteralExpression(LiteralExpressionSyntax node)
        {
            if (!figures.TryGetValue(node.SpanStart, out var id) || of._constant.Contains(id)) return node;
            if (node.Ancestors().Any(a => a is PatternSyntax or ParameterSyntax or AttributeSyntax or EnumMemberDeclarationSyntax
                or CaseSwitchLabelSyntax) && !node.Ancestors().TakeWhile(a => a is not PatternSyntax).Any(a =>
                    a is InvocationExpressionSyntax))
            {
                of._constant.Add(id);
                return node;
            }
            return SyntaxFactory.ParseExpression($"MutantSwitch.Of({id}, {node.Token.Text}, {of._all[id].Is})")
                .WithTriviaFrom(node);
        }

        public override SyntaxNode? VisitFieldDeclaration(FieldDeclarationSyntax node)
        {
            if (!node.Modifiers.Any(SyntaxKind.ConstKeyword)) return base.VisitFieldDeclaration(node);
            if (!Holds(node)) return node;
            if (node.Declaration.Variables.Any(v => of._constants.Contains(v.Identifier.Text))) return Left(node);
            var made = (FieldDeclarationSyntax)base.VisitFieldDeclaration(node)!;
            var at = made.Modifiers.IndexOf(SyntaxKind.ConstKeyword);
            return made.WithModifiers(made.Modifiers.RemoveAt(at)
                .Insert(at, SyntaxFactory.Token(SyntaxKind.StaticKeyword).WithTrailingTrivia(SyntaxFactory.Space))
                .Insert(at + 1, SyntaxFactory.Token(SyntaxKind.ReadOnlyKeyword)
                    .WithTrailingTrivia(SyntaxFactory.Space)));
        }

        public override SyntaxNode? VisitLocalDeclarationStatement(LocalDeclarationStatementSyntax node)
        {
            if (!node.IsConst) return base.VisitLocalDeclarationStatement(node);
            if (!Holds(node)) return node;
            if (node.Declaration.Variables.Any(v => of._constants.Contains(v.Identifier.Text))) return Left(node);
            var made = (LocalDeclarationStatementSyntax)base.VisitLocalDeclarationStatement(node)!;
            return made.WithModifiers(made.Modifiers.RemoveAt(made.Modifiers.IndexOf(SyntaxKind.ConstKeyword)));
        }

        private bool Holds(SyntaxNode node) => node.DescendantNodes().Any(n => figures.ContainsKey(n.SpanStart));

        private SyntaxNode Left(SyntaxNode node)
        {
            foreach (var n in node.DescendantNodes()) if (figures.TryGetValue(n.SpanStart, out var id)) of._constant
                .Add(id);
            return node;
        }
    }
}
