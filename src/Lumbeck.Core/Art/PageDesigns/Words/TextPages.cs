namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Text over as many pages as it needs: a foreword, instructions. Headings begin with #, list entries with - or a number,
/// words between asterisks are italic, a line of three dashes begins another page, a blank line another paragraph
/// (docs/inside.md, Text).
/// </summary>
public sealed record TextPages : PageDesign
{
    public string Text { get; init; } = "# Foreword\n\nWrite here.";

    public Length Size { get; init; } = Length.FromPoints(10.5m);

    /// <summary>A long novel in one run.</summary>
    public const int MostLetters = 1_000_000;

    /// <summary>From baseline to baseline, as a multiple of the size.</summary>
    public decimal Leading { get; init; } = 1.35m;

    public bool Justified { get; init; } = true;
    public bool Hyphenate { get; init; } = true;

    public override string Kind => "text";
    public override bool TakesHeading => false;
    public override bool Varies => true;
    public override IEnumerable<string> Given => [Text];
    protected override ImmutableArray<string> OwnSlots => [];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<TextPages>("text", "Text", d => d.Text, (d, s) => d with { Text = s }, MostLetters),
        Weighed<TextPages>("size", "Type", 5, 36, d => d.Size, (d, l) => d with { Size = l }),
        new Field<TextPages, decimal>("leading", "Leading", Values.Numbers(" ×", "leading", "1.35 ×"), d => d.Leading,
            (d, n) => d with { Leading = n })
        { Fault = (n, _) => n is < 0.9m or > 3 ? $"{Typed.Show(n, " ×")} can't be set: from 0.9 × to 3 ×" : null },
        new Field<TextPages, bool>("justified", "Justified", Values.Switch, d => d.Justified,
            (d, b) => d with { Justified = b }),
        new Field<TextPages, bool>("hyphenate", "Hyphenated", Values.Switch, d => d.Hyphenate,
            (d, b) => d with { Hyphenate = b }),
    ];

    /// <summary>The slot of its words.</summary>
    public int InkSlot => InWords;

    /// <summary>From one baseline to the next.</summary>
    public Length Pitch => Leading * Size;

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fitted.Of(page.Safe.Height, Pitch, "line") is var fit ? (fit.Count, null, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) => $"{PageLines.Room(page, true, unit)}, ÷ {Leading} × " +
        $"{Size.ShowPoints()} = {Fitted.Of(page.Safe.Height, Pitch, "line").Count} lines a page";

    // What is on which page is said by who sets it: Core's Drawing, with faces.
    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) => [];

    /// <summary>What its text is made of, in order.</summary>
    public IEnumerable<TextBlock> Blocks(PageFacts at)
    {
        var open = new List<string>();
        var list = 0;
        TextBlock paragraph()
        {
            var (words, italics) = Italics(string.Join(' ', open));
            open.Clear();
            return new(BlockKind.Paragraph, words, italics);
        }
        foreach (var line in at.Fill(Text).Split('\n').Select(l => l.Trim()))
        {
            var (kind, rest) = Read(line);
            if (kind == BlockKind.Paragraph && rest.Length > 0) { open.Add(rest); continue; }
            if (open.Count > 0) { yield return paragraph(); list = 0; }
            if (kind == BlockKind.Paragraph) continue;
            list = kind == BlockKind.Numbered ? list + 1 : 0;
            var (words, italics) = Italics(rest);
            yield return new(kind, words, italics) { Number = list };
        }
        if (open.Count > 0) yield return paragraph();
    }

    private static (BlockKind, string) Read(string line)
    {
        if (line is "---") return (BlockKind.Break, "");
        if (line.StartsWith("## ", StringComparison.Ordinal)) return (BlockKind.Lesser, line[3..].Trim());
        if (line.StartsWith("# ", StringComparison.Ordinal)) return (BlockKind.Heading, line[2..].Trim());
        if (line.StartsWith("- ", StringComparison.Ordinal)) return (BlockKind.Listed, line[2..].Trim());
        var digits = line.TakeWhile(char.IsAsciiDigit).Count();
        return digits is > 0 and < 4 && line[digits..].StartsWith(". ", StringComparison.Ordinal)
            ? (BlockKind.Numbered, line[(digits + 2)..].Trim()) : (BlockKind.Paragraph, line);
    }

    /// <summary>Words without their asterisks, and where those between two were.</summary>
    private static (string, ImmutableArray<(int From, int To)>) Italics(string words)
    {
        var parts = words.Split('*');
        // An asterisk without another is one.
        if (parts.Length < 3 || parts.Length % 2 == 0) return (words, []);
        var italics = ImmutableArray.CreateBuilder<(int, int)>();
        var said = "";
        foreach (var (n, part) in parts.Index())
        {
            if (n % 2 == 1 && part.Length > 0) italics.Add((said.Length, said.Length + part.Length));
            said += part;
        }
        return (said, italics.ToImmutable());
    }
}

public enum BlockKind { Paragraph, Heading, Lesser, Listed, Numbered, Break }

/// <summary>A paragraph, a heading, an entry of a list, or the beginning of another page.</summary>
/// <param name="Italics">Letters that are italic, from one to before another.</param>
public sealed record TextBlock(BlockKind Kind, string Words, ImmutableArray<(int From, int To)> Italics)
{
    /// <summary>Of a numbered entry, from 1.</summary>
    public int Number { get; init; }
}
