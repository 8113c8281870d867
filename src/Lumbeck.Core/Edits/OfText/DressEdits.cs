namespace Lumbeck.Core.Edits.OfText;

/// <summary>How a text and its box fit each other; what is not given stays.</summary>
public sealed record FitText(string Item, Fitting? Fit = null, int? Columns = null, Length? Gutter = null,
    bool? Upright = null, decimal? Bend = null, bool? AsTyped = null, bool? Composed = null)
    : ItemEdit(Item)
{
    protected override string Fact =>
        Fit is not null
            ? "fit"
            : Columns is not null
            ? "columns"
            : Gutter is not null
            ? "gutter"
            : Upright is not null
            ? "upright"
        : Bend is not null ? "bend" : AsTyped is not null ? "as-typed" : "composed";

    protected override Item On(Item item, Job job)
    {
        var t = item.AsText();
        if (Columns is < 1 or > TextItem.MostColumns)
            throw new Refusal($"item/{Item}/columns",
                $"{Columns} columns can't be set: from 1 to {TextItem.MostColumns}");
        if (Gutter is { } gutter && (gutter.Units < 0 || gutter > Length.FromMillimetres(100)))
            throw new Refusal($"item/{Item}/gutter",
                $"{gutter.ShowPoints()} between columns can't be set: from 0 to 100 mm");
        if (Bend is < -360 or > 360) throw new Refusal($"item/{Item}/bend", "an arc runs from −360° to 360°");
        if (Composed == true && t.Hold.Panel != Part.Spine)
            throw new Refusal($"item/{Item}/composed", "only what hangs on the spine is composed with it");
        return t with
        {
            Fit = Fit ?? t.Fit,
            Columns = Columns ?? t.Columns,
            Gutter = Gutter ?? t.Gutter,
            Upright = Upright ?? t.Upright,
            Bend = Bend ?? t.Bend,
            AsTyped = AsTyped ?? t.AsTyped,
            Composed = Composed ?? t.Composed,
        };
    }
}

/// <summary>A line round a text's letters, or none.</summary>
public sealed record EdgeText(string Item, TextEdge? Edge) : ItemEdit(Item)
{
    protected override string Fact => "edge";
    protected override Item On(Item item, Job job) => Edge is { } e
        && (e.Width.Units <= 0 || e.Width > Length.FromPoints(50))
        ? throw new Refusal($"item/{Item}/edge-width",
            $"a line of {e.Width.ShowPoints()} can't be drawn round letters: up to 50 pt")
        : item.AsText() with { Edge = Edge };
}

/// <summary>A text's shadow, or none.</summary>
public sealed record ShadowText(string Item, TextShadow? Shadow) : ItemEdit(Item)
{
    protected override string Fact => "shadow";
    protected override Item On(Item item, Job job)
    {
        var most = Length.FromPoints(144);
        if (Shadow is { } s)
        {
            if (Length.Abs(s.Right) > most || Length.Abs(s.Down) > most)
                throw new Refusal($"item/{Item}/shadow-{(Length.Abs(s.Right) > most ? "right" : "down")}",
                    $"a shadow falls up to {most.ShowPoints()} from its letters");
            if (s.Soft.Units < 0 || s.Soft > most)
                throw new Refusal($"item/{Item}/shadow-soft", $"a shadow's edge fades over 0 to {most.ShowPoints()}");
            if (s.Strength is < 0 or > 100)
                throw new Refusal($"item/{Item}/shadow-strength", "a shadow's strength runs from 0 to 100 %");
        }
        return item.AsText() with { Shadow = Shadow };
    }
}

/// <summary>The plate behind a text, or none.</summary>
public sealed record BackText(string Item, TextBacking? Backing) : ItemEdit(Item)
{
    private static readonly Length Most = Length.FromPoints(200);

    protected override string Fact => "backing";
    protected override Item On(Item item, Job job) => Backing is { } b
        && (b.Room.Units < 0 || b.Room > Most || b.Corner.Units < 0 || b.Corner > Most)
        ? throw new Refusal($"item/{Item}/backing-{(b.Corner.Units < 0 || b.Corner > Most ? "corner" : "room")}",
            $"from 0 to {Most.ShowPoints()}")
        : item.AsText() with { Backing = Backing };
}
