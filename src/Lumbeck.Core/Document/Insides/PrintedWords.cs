using System.Text.Json;

namespace Lumbeck.Core.Document.Insides;

/// <summary>
/// Words that pages are printed with before anybody types: headings of ready insides, what a design says at first. They are
/// written in English in the code and stand here in the other languages (docs/inside.md, Languages); what a language has no
/// words for is not printed in it.
/// </summary>
public static class PrintedWords
{
    private const string English = "en";

    /// <summary>By language and English words; null is what a language does without.</summary>
    private static readonly Dictionary<string, Dictionary<string, string?>> ByCode = Load();

    private static readonly Dictionary<string, Dictionary<string, string>> Back = ByCode.ToDictionary(l => l.Key,
        l => l.Value.Where(w => w.Value is not null).DistinctBy(w => w.Value).ToDictionary(w => w.Value!, w => w.Key));

    /// <summary>Languages with words of their own here, by code, and English.</summary>
    public static IReadOnlyCollection<string> Codes { get; } = [English, .. ByCode.Keys];

    /// <summary>All words, in English.</summary>
    public static IReadOnlyCollection<string> All => ByCode["de"].Keys;

    /// <summary>English words of a page in another language; empty where it has none for them.</summary>
    /// <exception cref="ArgumentException">They are none of ours.</exception>
    public static string Say(string english, string code) =>
        !All.Contains(english) ? throw new ArgumentException($"“{english}” is not among the printed words.")
        : code == English || !ByCode.TryGetValue(code, out var words) ? english : words[english] ?? "";

    /// <summary>A run as it is first laid in a language.</summary>
    public static PageRun In(PageRun run, string code) => Turned(run, English, code);

    /// <summary>A design as it is first laid in a language.</summary>
    public static PageDesign In(PageDesign design, string code) => Turned(design, English, code);

    /// <summary>What was said in one language and no hand has changed, said in another.</summary>
    public static ImmutableList<PageRun> Turned(ImmutableList<PageRun> runs, string from, string to) =>
        [.. runs.Select(r => Turned(r, from, to))];

    private static PageRun Turned(PageRun run, string from, string to)
    {
        if (from == to) return run;
        var (name, designs) = (Turned(run.Name, from, to), run.Designs.Select(d => Turned(d, from, to)).ToList());
        return name == run.Name && designs.SequenceEqual(run.Designs) ? run : run with { Name = name, Designs = [.. designs] };
    }

    private static PageDesign Turned(PageDesign design, string from, string to)
    {
        if (from == to) return design;
        var terms = new FieldTerms(Unit.Millimetre, [], []);
        foreach (var field in design.Fields.Where(f => f is { IsWords: true, TakesPaint: false }))
        {
            var was = field.Show(design, terms);
            var becomes = Turned(was, from, to);
            if (becomes != was) design = (PageDesign)field.With(design, new(Words: becomes), Unit.Millimetre);
        }
        ImmutableArray<Column> heads(ImmutableArray<Column> all) =>
            [.. all.Select(c => c with { Head = Turned(c.Head, from, to) })];
        return design switch
        {
            Table t => t with { Columns = heads(t.Columns) },
            SpreadTable t => t with { First = heads(t.First), Across = heads(t.Across) },
            _ => design,
        };
    }

    private static string Turned(string said, string from, string to)
    {
        var english = from == English ? said : Back.GetValueOrDefault(from)?.GetValueOrDefault(said) ?? said;
        return !All.Contains(english) || (english == said && from != English && !Kept(said, from)) ? said : Say(english, to);
    }

    /// <summary>Whether a language says it as English does, or was laid without words of its own.</summary>
    private static bool Kept(string english, string code) =>
        !ByCode.TryGetValue(code, out var words) || words[english] == english;

    private static Dictionary<string, Dictionary<string, string?>> Load()
    {
        using var data = typeof(PrintedWords).Assembly.GetManifestResourceStream("printed/words")!;
        return JsonSerializer.Deserialize<Dictionary<string, Dictionary<string, string?>>>(data)!;
    }
}
