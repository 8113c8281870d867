using System.Globalization;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace Lumbeck.Mutants;

/// <summary>One figure of the program, made larger by three tenths and by one at least.</summary>
/// <param name="Group">What it is of: <c>checks</c>, <c>geometry</c>, <c>kinds</c> or <c>houses</c>.</param>
/// <param name="Where">Its file and line, or the house and the key.</param>
/// <param name="Was">As it is written.</param>
/// <param name="Is">As it is tried.</param>
/// <param name="Line">The line that it stands on.</param>
internal sealed record Mutant(string Group, string Where, string Was, string Is, string Line)
{
    /// <summary>Its file, and from where to where it stands there.</summary>
    public required string Path { get; init; }
    public required (int From, int Length) At { get; init; }

    public string Name => $"{Where} {Was} > {Is}";

    /// <summary>The file's text with the figure changed.</summary>
    public string Changed() => File.ReadAllText(Path) is var text
        ? text[..At.From] + Is + text[(At.From + At.Length)..] : "";
}

/// <summary>Finds the figures.</summary>
internal static class Figures
{
    /// <summary>Every figure of the sources of a folder but nought and one, which are seldom limits.</summary>
    public static IEnumerable<Mutant> OfSources(string root, string group, string folder)
    {
        foreach (var path in Directory.GetFiles(Path.Combine(root, folder), "*.cs", SearchOption.AllDirectories)
            .Order(StringComparer.Ordinal))
        {
            if (path.Contains("/obj/", StringComparison.Ordinal)) continue;
            var text = File.ReadAllText(path);
            var tree = CSharpSyntaxTree.ParseText(text, Rebuilt.Parsing);
            foreach (var literal in tree.GetRoot().DescendantNodes().OfType<LiteralExpressionSyntax>()
                .Where(l => l.IsKind(SyntaxKind.NumericLiteralExpression) && !IsPlace(l)))
            {
                var was = literal.Token.Text;
                if (Larger(was) is not { } larger) continue;
                var at = literal.GetLocation().GetLineSpan().StartLinePosition;
                yield return new(group, $"{Path.GetRelativePath(root, path)}:{at.Line + 1}:{at.Character + 1}", was,
                    larger,
                    text.Split('\n')[at.Line].Trim()) { Path = path, At = (literal.SpanStart, literal.Span.Length) };
            }
        }
    }

    /// <summary>Every figure of the shipped houses, by its key.</summary>
    public static IEnumerable<Mutant> OfHouses(string root)
    {
        foreach (var path in Directory.GetFiles(Path.Combine(root, "src/Lumbeck.Core/Trade/Houses/Data"), "*.json")
            .Order(StringComparer.Ordinal))
        {
            var text = File.ReadAllText(path);
            var number = new System.Text.RegularExpressions.Regex(@"(?<=[:\[,]\s*)-?\d+(\.\d+)?(?=\s*[,\]}\n])");
            foreach (System.Text.RegularExpressions.Match m in number.Matches(text))
            {
                if (Larger(m.Value) is not { } larger) continue;
                var line = text[..m.Index].Count(c => c == '\n');
                var column = m.Index - text.LastIndexOf('\n', m.Index);
                yield return new("houses", $"{Path.GetFileNameWithoutExtension(path)}:{line + 1}:{column}", m.Value,
                    larger,
                    text.Split('\n')[line].Trim()) { Path = path, At = (m.Index, m.Length) };
            }
        }
    }

    /// <summary>
    /// A place in a list, an attribute, or the number of a place after the point says nothing of the trade.
    /// </summary>
    private static bool IsPlace(SyntaxNode literal) => literal.Ancestors().Any(a => a is BracketedArgumentListSyntax
        or AttributeSyntax or RangeExpressionSyntax or InterpolationFormatClauseSyntax
        or ElementBindingExpressionSyntax);

    private static string? Larger(string was)
    {
        var suffix = was[^1] is 'm' or 'M' or 'd' or 'f' or 'L' ? was[^1..] : "";
        var bare = was[..^suffix.Length].Replace("_", "", StringComparison.Ordinal);
        if (!decimal.TryParse(bare, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
            || value is 0 or 1 or -1) return null;
        var larger = value == Math.Truncate(value) && Math.Abs(value) < 1e12m && !bare.Contains('.') && !bare
            .Contains('e')
            ? value + (Math.Sign(value) * Math.Max(1, Math.Round(Math.Abs(value) * 0.3m))) : value * 1.3m;
        return larger.ToString("0.############", CultureInfo.InvariantCulture) + suffix;
    }
}
