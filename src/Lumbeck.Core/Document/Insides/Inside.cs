using System.Text.Json.Serialization;

namespace Lumbeck.Core.Document.Insides;

/// <summary>Where a page's number stands: at the outer edge or in the middle, below or above the type.</summary>
public enum FolioPlace { None, OuterFoot, MiddleFoot, OuterHead }

/// <summary>How pages are numbered.</summary>
/// <param name="Place">Where on the page, in its margin.</param>
/// <param name="First">The number of the first page.</param>
public sealed record Folio(FolioPlace Place = FolioPlace.OuterFoot, int First = 1)
{
    /// <summary>How large the page's number is set.</summary>
    public Length Size { get; init; } = Length.FromPoints(8.5m);

    /// <summary>Words beside it, such as “{title}”; empty for none.</summary>
    public string Beside { get; init; } = "";
}

/// <summary>
/// Tabs at the fore-edge, one for each run that has one, under each other from head to foot (docs/inside.md, Thumb
/// index).
/// </summary>
/// <param name="Head">From the cut at the head to the first tab.</param>
/// <param name="Foot">From the last tab's pitch to the cut at the foot.</param>
/// <param name="Gap">Between two tabs.</param>
/// <param name="Depth">How far they reach in from the fore-edge.</param>
public sealed record ThumbIndex(Length Head, Length Foot, Length Gap, Length Depth)
{
    public static ThumbIndex First { get; } =
        new(Length.FromMillimetres(20), Length.FromMillimetres(20), Length.FromMillimetres(2),
        Length.FromMillimetres(6));

    /// <summary>From one tab to the next: what head and foot leave, by runs that have one.</summary>
    public Length Pitch(Length height, int tabs) => 1m / Math.Max(1, tabs) * (height - Head - Foot);

    /// <summary>A tab's place down the page, from the cut at the head.</summary>
    /// <param name="height">The trim's.</param>
    /// <param name="tab">From 0.</param>
    /// <param name="tabs">How many there are.</param>
    public (Length Top, Length Bottom) At(Length height, int tab, int tabs)
    {
        var pitch = Pitch(height, tabs);
        var top = Head + (tab * pitch);
        return (top, top + pitch - Gap);
    }
}

/// <summary>How sheets of a booklet that is printed at home are drawn in for the paper's own thickness.</summary>
public enum CreepMode { TowardFold, Balanced, None }

/// <summary>The pages of a book that are made here, as runs, with what all of them share.</summary>
public sealed record Inside
{
    public ImmutableList<PageRun> Runs { get; init; } = [];

    /// <summary>How many pages the book has whatever its runs make; null where the runs say it.</summary>
    public int? Fixed { get; init; }

    /// <summary>Whether a file from elsewhere stands in their place for now.</summary>
    public bool PutBy { get; init; }

    /// <summary>Margins from the cut; the house's hold where they are larger.</summary>
    public PageMargins Margins { get; init; } = new(Length.FromMillimetres(12), Length.FromMillimetres(10),
        Length.FromMillimetres(14));

    /// <summary>Whether the book bleeds, as a whole.</summary>
    public bool Bleeds { get; init; }

    public Folio Folio { get; init; } = new();

    public ThumbIndex Tabs { get; init; } = ThumbIndex.First;

    public FaceId Text { get; init; } = new("source-serif-4", 400, false);

    public FaceId Heads { get; init; } = new("barlow-condensed", 600, false);

    public CreepMode Creep { get; init; }

    public Calendaring Calendar { get; init; } = new();

    public const int MostPages = 5000, MostRuns = 400;

    public PageRun? Run(string id) => Runs.Find(r => r.Id == id);

    [JsonIgnore]
    public IEnumerable<Picture> Pictures => Runs.SelectMany(r => r.Pictures);

    [JsonIgnore]
    public IEnumerable<TableRef> Tables => Runs.Select(r => r.Table).Append(Calendar.Notes).OfType<TableRef>();

    /// <summary>Whether edits could have made it so.</summary>
    [JsonIgnore]
    public bool IsSound => Runs is { Count: <= MostRuns } && Runs.All(r => r is { IsSound: true })
        && Runs.Select(r => r.Id).Distinct().Count() == Runs.Count && Runs.Count(r => r.Goes == RunKind.Rest) <= 1
        && Fixed is null or (> 0 and <= MostPages) && Margins is not null
            && Folio is { First: >= 0 and <= 99_999, Beside.Length: <= 200 }
        && Tabs is not null && Enum.IsDefined(Folio.Place) && Enum.IsDefined(Creep)
        && Calendar is { IsSound: true };

    public bool Equals(Inside? other) => other is not null && Runs.SequenceEqual(other.Runs)
        && (Fixed, PutBy, Margins, Bleeds, Folio, Tabs, Creep, Calendar) ==
            (other.Fixed, other.PutBy, other.Margins, other.Bleeds, other.Folio, other.Tabs, other.Creep,
                other.Calendar)
        && (Text, Heads) == (other.Text, other.Heads);

    public override int GetHashCode() => HashCode.Combine(Runs.Count, Fixed, PutBy, Margins, Bleeds);
}
