using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

/// <summary>What a text is for; decides what a new one says and what Check misses when it is not there.</summary>
public enum TextRole { Free, Title, Subtitle, Author, Blurb, Imprint, Quotation, Note, Category }

/// <summary>A line round letters, so many points wide outside them.</summary>
public sealed record TextEdge(Paint Paint, Length Width);

/// <summary>
/// A shadow, moved right and down from its letters. With a hard edge it is a plain shape in its own ink; a soft one
/// fades over <paramref name="Soft"/> and darkens what lies under it, as multiplied inks do.
/// </summary>
/// <param name="Strength">Of a soft one, in percent.</param>
public sealed record TextShadow(Paint Paint, Length Right, Length Down, Length Soft, decimal Strength = 60)
{
    [JsonIgnore]
    public bool IsSound => Paint is not (null or GradientPaint) && Length.Abs(Right) <= Length.FromMillimetres(5000)
        && Length.Abs(Down) <= Length.FromMillimetres(5000)
        && Soft.Units >= 0 && Soft <= Length.FromPoints(144) && Strength is >= 0 and <= 100;
}

/// <summary>A plate behind each line, wider than its letters by <paramref name="Room"/> on every side.</summary>
public sealed record TextBacking(Paint Paint, Length Room, Length Corner);

public sealed record TextItem : Item
{
    public TextRole Role { get; init; }
    /// <summary>Paragraphs are parted by line ends.</summary>
    public string Words { get; init; } = "";
    /// <summary>Still the words it was added with.</summary>
    public bool Starter { get; init; }
    public TextStyle Style { get; init; } = new();
    public ImmutableList<TextRun> Runs { get; init; } = [];
    public Fitting Fit { get; init; }
    public int Columns { get; init; } = 1;
    public Length Gutter { get; init; } = Length.FromPoints(14);
    /// <summary>From the head down, letters upright where their script stands so.</summary>
    public bool Upright { get; init; }
    /// <summary>
    /// The arc that a line as wide as its box takes, in degrees from −360 to 360; above zero its middle is highest.
    /// </summary>
    public decimal Bend { get; init; }
    public TextEdge? Edge { get; init; }
    public TextShadow? Shadow { get; init; }
    public TextBacking? Backing { get; init; }
    /// <summary>Quotes and dashes stay as they are typed.</summary>
    public bool AsTyped { get; init; }
    /// <summary>On a spine: placed and sized by the trade's order, and anew whenever the spine changes.</summary>
    public bool Composed { get; init; }
    public override string Says(ItemContext told) => Words.ReplaceLineEndings(" ");
    public override bool IsRead => true;
    public override string Kind => Role == TextRole.Free ? "Text" : Role.ToString();

    /// <summary>Most letters of a text, and most columns.</summary>
    public const int LongestWords = 20_000, MostColumns = 8;

    public override Item Painted(Func<Paint?, Paint?> each) => this with
    {
        Style = Style with { Paint = each(Style.Paint)! },
        Runs = Runs.Any(r => r.Style.Paint is not null)
            ? [.. Runs.Select(r => r with { Style = r.Style with { Paint = each(r.Style.Paint) } })]
            : Runs,
        Edge = Edge is { } e ? e with { Paint = each(e.Paint)! } : null,
        Shadow = Shadow is { } s ? s with { Paint = each(s.Paint)! } : null,
        Backing = Backing is { } b ? b with { Paint = each(b.Paint)! } : null,
    };

    public override string? Unsound
    {
        get
        {
            if (Words is null || Words.Length > LongestWords || Style is not { Paint: not null, IsSound: true })
                return "its text";
            if (!Enum.IsDefined(Role) || !Enum.IsDefined(Fit) || Columns is < 1 or > MostColumns || Gutter.Units < 0
                || Gutter > Far || Bend is < -360 or > 360)
                return "its text";
            if (Runs is null || Runs.Count > TextRuns.Most) return "its text";
            var last = 0;
            foreach (var run in Runs)
            {
                if (run?.Style is not { IsSound: true } || run.From < last || run.To <= run.From
                    || run.To > Words.Length)
                    return "its runs";
                last = run.To;
            }
            // A gradient fills letters too, but no line and no shadow.
            if (Edge is { } edge && (edge.Paint is null or GradientPaint || edge.Width.Units <= 0 || edge.Width > Far))
                return "its edge";
            if (Shadow is { IsSound: false }) return "its shadow";
            return Backing is { } backing
                && (backing.Paint is null || backing.Room.Units < 0 || backing.Room > Far || backing.Corner.Units < 0)
                ? "its backing"
                : null;
        }
    }
}
