using System.Text.RegularExpressions;

namespace Lumbeck.Desk.Tests;

/// <summary>One word for one thing: words that left (docs/glossary.md) are in no sentence that people read.</summary>
public sealed partial class GlossaryTests
{
    private static readonly DirectoryInfo Root = Project();

    [GeneratedRegex(@"""(?:[^""\\]|\\.)*""")]
    private static partial Regex Literals();

    [GeneratedRegex("""\{[^{}]*\}""")]
    private static partial Regex Holes();

    [GeneratedRegex("""(?:title|aria-label|placeholder|alt)="([^"]*)"|>([^<>@{}]+)(?:<|@|$)|^\s+([^<>@{}=;]+)(?:<|@|$)""")]
    private static partial Regex Shown();

    [Fact]
    public void No_sentence_says_a_word_that_left()
    {
        var left = Left();
        left.Count.ShouldBeGreaterThan(20);
        var found = (from line in Sentences()
            from word in left
            where word.IsMatch(line.Says)
            select $"{line.File}: {line.Says} ({word})").ToList();
        found.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("a house binds this")]
    [InlineData("Step back")]
    public void A_word_that_left_would_be_found(string says) => Left().ShouldContain(w => w.IsMatch(says));

    /// <summary>A house file is one; a town's houses are none of ours.</summary>
    private static List<Regex> Left() => [.. File.ReadLines(Path.Combine(Root.FullName, "docs", "glossary.md"))
        .SkipWhile(l => l != "## Words that left").Where(l => l.StartsWith("| ", StringComparison.Ordinal)).Skip(1)
        .SelectMany(l => l.Split('|')[1].Split(',', StringSplitOptions.TrimEntries))
        .Select(w => new Regex($@"\b{Regex.Escape(w)}\b(?! file)", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant))];

    private static IEnumerable<(string File, string Says)> Sentences()
    {
        foreach (var file in Directory.EnumerateFiles(Path.Combine(Root.FullName, "src"), "*", SearchOption.AllDirectories))
        {
            if (file.Split(Path.DirectorySeparatorChar).Any(p => p is "obj" or "bin" or "node_modules" or "wwwroot" or "Demo"
                or "Vistas")) continue;
            var name = Path.GetRelativePath(Root.FullName, file);
            foreach (var line in Path.GetExtension(file) switch
            {
                ".cs" => Of(file).Where(l => !l.StartsWith("//", StringComparison.Ordinal))
                    .SelectMany(l => Literals().Matches(l).Select(m => Holes().Replace(m.Value, "…"))),
                ".ts" => Of(file).Where(l => !l.StartsWith("//", StringComparison.Ordinal) && l.Contains('`')),
                ".cshtml" => Of(file).SelectMany(l => Shown().Matches(l).Select(m => string.Concat(m.Groups.Values.Skip(1)))),
                _ => [],
            })
            {
                if (line.Contains(' ') && !line.Contains("SELECT", StringComparison.Ordinal)
                    && !line.StartsWith("\"/", StringComparison.Ordinal)) yield return (name, line);
            }
        }
    }

    private static IEnumerable<string> Of(string file) => File.ReadLines(file).Select(l => l.Trim());

    private static DirectoryInfo Project()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        return root;
    }
}
