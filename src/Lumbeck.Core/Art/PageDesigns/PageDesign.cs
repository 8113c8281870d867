using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// What is printed on a page that is written or drawn on: it fills the room within the margins and says its sum. A
/// design is added by a file of its own and its line in <see cref="DesignShelf"/>.
/// </summary>
public abstract record PageDesign
{
    /// <summary>One plain paint for each slot, in their order.</summary>
    public required ImmutableList<Paint> Paints { get; init; }

    /// <summary>What people call it.</summary>
    [JsonIgnore]
    public abstract string Kind { get; }

    /// <summary>Words above what it draws; what stands in braces is filled in page by page.</summary>
    public string Heading { get; init; } = "";

    /// <summary>Words at the heading's other end, such as “date ______”.</summary>
    public string Beside { get; init; } = "";

    /// <summary>Room for the heading within the margins; 0 for none.</summary>
    public Length Header { get; init; }

    /// <summary>Type size of the heading.</summary>
    public Length HeadingSize { get; init; } = Length.FromPoints(13);

    /// <summary>What each of its paints is for; the last is that of its words.</summary>
    [JsonIgnore]
    public ImmutableArray<string> Slots => OwnSlots.IsDefault ? [] : [.. OwnSlots, "Words"];

    /// <summary>What its own paints are for; default for a page without any.</summary>
    protected abstract ImmutableArray<string> OwnSlots { get; }

    /// <summary>The slot that words are printed in.</summary>
    protected int InWords => OwnSlots.Length;

    /// <summary>Whether a heading can stand over it.</summary>
    [JsonIgnore]
    public virtual bool TakesHeading => true;

    /// <summary>Whether it is a page for display, which is counted and carries no folio.</summary>
    [JsonIgnore]
    public virtual bool IsDisplay => false;

    /// <summary>Whether its lines too are others from page to page.</summary>
    [JsonIgnore]
    public virtual bool Varies => false;

    /// <summary>Pages that it goes over: two for a design of an opening.</summary>
    [JsonIgnore]
    public virtual int Takes => 1;

    /// <summary>The picture on it, if it has one.</summary>
    [JsonIgnore]
    public virtual Picture? Shown => null;

    /// <summary>What is given of it, in the order that screens show it: its own settings, then its paints.</summary>
    [JsonIgnore]
    public IReadOnlyList<Field> Fields =>
        [.. TakesHeading ? HeadingFields : [], .. OwnFields, .. Slots.Select(PaintField)];

    protected virtual IReadOnlyList<Field> OwnFields => [];

    private static readonly IReadOnlyList<Field> HeadingFields =
    [
        Line<PageDesign>("heading", "Heading", d => d.Heading, (d, s) => d with { Heading = s }),
        Line<PageDesign>("beside", "Beside it", d => d.Beside, (d, s) => d with { Beside = s }),
        Measure<PageDesign>("header", "Room for it", 0, 120, d => d.Header, (d, l) => d with { Header = l }),
        Weighed<PageDesign>("heading-size", "Its size", 5, 60, d => d.HeadingSize,
            (d, l) => d with { HeadingSize = l }),
    ];

    /// <summary>Whether an edit could have made it so.</summary>
    [JsonIgnore]
    public bool IsSound => Paints is { } p && p.Count == Slots.Length && Fields.All(f => f.IsSound(this));

    /// <summary>All the words it prints as they are given, with the braces in them.</summary>
    [JsonIgnore]
    public virtual IEnumerable<string> Given => [Heading, Beside];

    /// <summary>Draws it on a page.</summary>
    /// <param name="page">The page, which says its own margins.</param>
    /// <param name="at">What its words are filled in with.</param>
    /// <returns>In points from the surface's upper left corner.</returns>
    /// <exception cref="Refusal">It does not fit; the figure is named.</exception>
    public IEnumerable<Drawn> Draw(Surface page, PageFacts? at = null)
    {
        var facts = at ?? PageFacts.None;
        foreach (var words in Headed(page, facts)) yield return words;
        foreach (var drawn in Fill(Below(page), facts)) yield return drawn;
    }

    /// <summary>
    /// What fits on a page, as a sum: “210 mm − 10 mm − 10 mm = 190 mm, ÷ 7 mm = 27 rows, 1 mm over”.
    /// </summary>
    /// <exception cref="Refusal">It does not fit; the figure is named.</exception>
    public string Working(Surface page, Unit unit) => Sum(Below(page), unit);

    /// <summary>Fills the room within the margins that a heading leaves.</summary>
    protected abstract IEnumerable<Drawn> Fill(Surface page, PageFacts at);

    /// <summary>What fits into that room.</summary>
    protected abstract string Sum(Surface page, Unit unit);

    /// <summary>Rows and columns that fit a page, and what is left over down it; null of what it has none of.</summary>
    /// <exception cref="Refusal">It does not fit; the figure is named.</exception>
    public (int? Rows, int? Columns, Length? Over) Fits(Surface page) => Fitting(Below(page));

    protected virtual (int? Rows, int? Columns, Length? Over) Fitting(Surface page) => (null, null, null);

    /// <summary>Entries that a page of it lists; null where it lists none.</summary>
    public virtual int? Lists(Surface page) => null;

    /// <summary>
    /// Rows of its own that the pages of its run print one after the other; null of a design without any.
    /// </summary>
    [JsonIgnore]
    public virtual int? RowsToPrint => null;

    /// <summary>How many of its rows a page prints, 1 and more.</summary>
    /// <exception cref="Refusal">It does not fit.</exception>
    public int RowsOn(Surface page) => Math.Max(1, RowsIn(Below(page)));

    protected virtual int RowsIn(Surface page) => 1;

    /// <summary>A page with the room that a heading leaves.</summary>
    protected Surface Room(Surface page) => Below(page);

    private Surface Below(Surface page)
    {
        if (!TakesHeading || Header.IsZero) return page;
        if (Header >= page.Safe.Height)
            throw new Refusal("header", $"a heading of {Header.Show(Unit.Millimetre)} leaves nothing of " +
                $"{page.Safe.Height.Show(Unit.Millimetre)} within the margins: give it less room");
        return page with { Safe = page.Safe.Inset(Length.Zero, Header, Length.Zero, Length.Zero) };
    }

    private IEnumerable<Drawn> Headed(Surface page, PageFacts at)
    {
        if (!TakesHeading || Header.IsZero) yield break;
        var (safe, size) = (page.Safe, HeadingSize.Points);
        // It stands a little over its rule, and gives its other end the room that words there want.
        var box = new Bounds(safe.X.Points, safe.Y.Points, safe.Right.Points, (safe.Y + Header).Points - (0.3 * size));
        var (start, end) = at.Mirrored ? (Align.Right, Align.Left) : (Align.Left, Align.Right);
        if (HeadingOf(at) is { Length: > 0 } heading)
            yield return new Written(heading, box, size, InWords)
            { Align = start, Stand = Stand.Foot, Heads = true, Fits = true };
        if (BesideOf(at) is { Length: > 0 } beside)
            yield return new Written(beside, box, 0.7 * size, InWords) { Align = end, Stand = Stand.Foot, Fits = true };
    }

    /// <summary>What its heading says on a page.</summary>
    protected virtual string HeadingOf(PageFacts at) => at.Fill(Heading);

    /// <summary>What stands at the heading’s other end.</summary>
    protected virtual string BesideOf(PageFacts at) => at.Fill(Beside);

    /// <summary>The same with another value of a setting.</summary>
    /// <exception cref="Refusal">It has no such setting, or the value is out of its range.</exception>
    public PageDesign With(string field, FieldValue value, string path)
    {
        var given = Fields.FirstOrDefault(f => f.Key == field)
            ?? throw new Refusal(path, $"{Kind} has no setting `{LengthText.Clip(field)}`");
        return Attempt.At(path, () => (PageDesign)given.With(this, value, Unit.Millimetre));
    }

    private static Field PaintField(string slot, int n) => new Field<PageDesign, Paint>(
        string.Create(CultureInfo.InvariantCulture, $"paint-{n + 1}"), slot, Values.PlainPaint("a page’s lines"),
        d => d.Paints[n], (d, paint) => d with { Paints = d.Paints.SetItem(n, paint) });

    /// <summary>A setting that is a length within a range.</summary>
    protected static Field<T, Length> Measure<T>(string key, string label, decimal least, decimal most,
        Func<T, Length> of, Func<T, Length, T> to) where T : PageDesign =>
        new(key, label, Values.Lengths, of, to)
        {
            Fault = (l, unit) => l < Length.FromMillimetres(least) || l > Length.FromMillimetres(most)
                ? $"{l.Show(unit)} can't be drawn: from {Length.FromMillimetres(least).Show(unit)} to " +
                    $"{Length.FromMillimetres(most).Show(unit)}"
                : null,
        };

    /// <summary>A setting that is the weight of a line or the width of a dot, in points.</summary>
    protected static Field<T, Length> Weighed<T>(string key, string label, decimal least, decimal most,
        Func<T, Length> of, Func<T, Length, T> to) where T : PageDesign =>
        new(key, label, Values.Points, of, to)
        {
            Fault = (l, _) => l < Length.FromPoints(least) || l > Length.FromPoints(most)
                ? $"{l.ShowPoints()} can't be drawn: from {least} pt to {most} pt"
                : null,
        };

    /// <summary>A setting that is a count within a range.</summary>
    protected static Field<T, int> Count<T>(string key, string label, int least, int most, Func<T, int> of,
        Func<T, int, T> to) where T : PageDesign =>
        new(key, label, Values.Counts(least.ToString(CultureInfo.InvariantCulture)), of, to)
        {
            Fault = (n, _) => n < least || n > most ? $"{n} can't be drawn: from {least} to {most}" : null,
        };

    /// <summary>A setting that is a line of words.</summary>
    protected static Field<T, string> Line<T>(string key, string label, Func<T, string> of, Func<T, string, T> to)
        where T : PageDesign => new(key, label, Values.Line, of, to) { Fault = (words, _) => TooLong(words, MostWords) };

    /// <summary>A setting that is words on several lines.</summary>
    protected static Field<T, string> Lines<T>(string key, string label, Func<T, string> of, Func<T, string, T> to,
        int most = MostWords)
        where T : PageDesign =>
        new(key, label, Values.Paragraphs, of, to) { Fault = (words, _) => TooLong(words, most), Wide = true, IsLong = true };

    /// <summary>Most letters of a setting.</summary>
    public const int MostWords = 20_000;

    private static string? TooLong(string words, int most) => words.Length > most
        ? $"{words.Length} letters are more than a setting takes: from 0 to {most}"
        : null;

    public virtual bool Equals(PageDesign? other) =>
        other is not null && EqualityContract == other.EqualityContract && Paints.SequenceEqual(other.Paints)
            && (Heading, Beside, Header, HeadingSize) == (other.Heading, other.Beside, other.Header, other.HeadingSize);

    public override int GetHashCode() => Paints.Aggregate(EqualityContract.GetHashCode(), HashCode.Combine);
}
