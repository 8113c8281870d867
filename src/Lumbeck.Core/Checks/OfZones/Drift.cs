namespace Lumbeck.Core.Checks.OfZones;

/// <summary>What suffers at the ends of the drift.</summary>
/// <param name="Item">The item; empty for the ground.</param>
/// <param name="Place">Where it lies on the sheet.</param>
/// <param name="Cut">By the knife; else by a fold.</param>
/// <param name="Into">How far the knife or fold gets into it.</param>
/// <param name="AwayX">What would carry it clear, across.</param>
/// <param name="AwayY">And down.</param>
public sealed record Harm(string Item, Box Place, bool Cut, Length Into, Length AwayX = default, Length AwayY = default)
{
    /// <summary>It suffers without any drift.</summary>
    public bool AsDrawn { get; init; }
    /// <summary>Of the ground: the width left bare.</summary>
    public Length? Bare { get; init; }
    /// <summary>Of a colour that ends on a fold: the fold.</summary>
    public string? OnFold { get; init; }
}

/// <summary>
/// The drift test: every cut and fold moved to both ends of what the house allows. Harm is words, codes or a keep-whole
/// item cut or folded, ground left bare,
/// and a colour that ends on a fold seen beside it (docs/geometry.md, Drift).
/// </summary>
public static class Drift
{
    public static IEnumerable<Harm> Harms(PrintedSheet on, Scene scene, Take take, House house)
    {
        var sheet = on.Sheet;
        var (knife, fold) = (house.TrimDrift, house.FoldDrift);
        foreach (var item in take.Items)
        {
            if (item.Hidden || scene.Item(item.Id) is not { Inked.IsEmpty: false } drawn) continue;
            var ink = drawn.Inked.ToBox();
            if (item.IsRead || item.Whole)
            {
                if (Cut(item.Id, ink, sheet.Trim, knife) is { } cut) yield return cut;
                else if (sheet.Folds.Select(f => Folded(item.Id, ink, f, fold)).OfType<Harm>()
                    .FirstOrDefault() is { } folded)
                    yield return folded;
            }
            else if (item is RectItem { Fill: { Pattern: null, Paint: not GradientPaint } } && item.Turned % 90 == 0
                && drawn.Frame.ToBox() is var box
                && sheet.Folds.FirstOrDefault(f => Near(box.X, f) || Near(box.Right, f)) is { IsZero: false } at
                && box.Height > Length.FromMillimetres(10) && !Continues(take, scene, item, box))
                yield return new(item.Id, box, false, default) { OnFold = FoldName(sheet, at) };
        }
        var wandered = Box.FromEdges(sheet.Trim.X - knife, sheet.Trim.Y - knife, sheet.Trim.Right + knife,
            sheet.Trim.Bottom + knife)
            .Intersect(sheet.Whole);
        // What is bare as drawn is another rule's to tell.
        if (Coverage.Bare(take, sheet, wandered) is [_, ..] bare && Coverage.Bare(take, sheet, sheet.Whole).Count == 0)
            yield return new("", bare[0], true, default) { Bare = Length.Min(bare[0].Width, bare[0].Height) };
    }

    /// <summary>The least the knife may leave of an item, at the drift's worst end.</summary>
    private static Harm? Cut(string item, Box ink, Box trim, Length knife)
    {
        Length left = trim.X + knife - ink.X, right = ink.Right - (trim.Right - knife), head = trim.Y + knife - ink.Y,
            foot = ink.Bottom - (trim.Bottom - knife);
        var into = Length.Max(Length.Max(left, right), Length.Max(head, foot));
        if (into <= CheckContext.Tolerance) return null;
        Length away(Length before, Length after) =>
            before > CheckContext.Tolerance ? before : after > CheckContext.Tolerance ? -after : default;
        return new(item, ink, true, into, away(left, right),
            away(head, foot))
        { AsDrawn = into - knife > CheckContext.Tolerance };
    }

    private static Harm? Folded(string item, Box ink, Length at, Length fold)
    {
        var (left, right) = (at + fold - ink.X, ink.Right - (at - fold));
        if (left <= CheckContext.Tolerance || right <= CheckContext.Tolerance) return null;
        // An item that holds both ends of the drift lies across the fold as drawn.
        var into = Length.Min(left, right);
        return new(item, ink, false, into, left < right ? left : -right)
        {
            AsDrawn = ink.X < at - CheckContext.Tolerance
            && ink.Right > at + CheckContext.Tolerance
        };
    }

    private static bool Near(Length edge, Length fold) => Length.Abs(edge - fold) < Length.FromMillimetres(0.1m);

    /// <summary>Whether what lies beyond the fold has the same colour, so that nothing is seen to end there.</summary>
    private static bool Continues(Take take, Scene scene, Item item, Box box) =>
        take.Items.OfType<RectItem>()
            .Any(o =>
                o.Id != item.Id && Equals(o.Fill, ((RectItem)item).Fill)
                    && scene.Item(o.Id) is { Frame.IsEmpty: false } p && p.Frame.ToBox() is var b
                    && (Near(b.Right, box.X) || Near(b.X, box.Right)));

    private static string FoldName(Sheet sheet, Length at)
    {
        var beside = sheet.Panels.Where(p => Near(p.Face.X, at) || Near(p.Face.Right, at)).Select(p => p.Part.Say())
            .ToList();
        return beside.Count == 0 ? "fold" : $"{beside[0]}’s fold";
    }
}
