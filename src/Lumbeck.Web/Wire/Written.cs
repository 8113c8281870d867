namespace Lumbeck.Web.Wire;

/// <summary>Writes a fact as it was typed.</summary>
/// <param name="Path">Which fact.</param>
/// <param name="Text">What was typed.</param>
/// <param name="Caret">Where the caret stood after words were typed on the sheet.</param>
public sealed record WriteFact(string Path, string Text, int? Caret = null) : Ask
{
    public override Edit Make(Asking at) => Path.Split('/') switch
    {
        // Houses of the maker's own are known to the desk alone.
        ["ticket", "house"] => new SetHouse(at.Desk.Houses.Get(Text).House),
        ["swatch", var swatch, "mix"] => at.Desk.Drawer.Mixed(at.Job, swatch, Text),
        ["item", var item, "words"] when Caret is { } caret => new SetWords(item, Text.ReplaceLineEndings("\n"), caret),
        _ => Facts.Write(at.Job, Path, at.Desk.Drawer.InInks(at.Job, Path, Text)),
    };
}

/// <summary>Writes the same fact of several items: its name alone is given.</summary>
public sealed record WriteEach(string[] Items, string Fact, string Text) : Ask
{
    public override Edit Make(Asking at)
    {
        var items = Some(Items);
        if (Fact == "group") return new GroupItems([.. items], Text);
        return Arranging.Each(items,
            id => Facts.Write(at.Job, $"item/{id}/{Fact}", at.Desk.Drawer.InInks(at.Job, $"item/{id}/{Fact}", Text)),
            at.Job, Fact);
    }
}

/// <summary>Spaces an item's words between two points of the sheet, x and y of each.</summary>
public sealed record SpanWords(string Item, double[] Marks) : Ask
{
    public override Edit Make(Asking at)
    {
        if (Marks is not [var ax, var ay, var bx, var by]) throw No("words are spaced between two points");
        double finite(double points) => Points(Item, points).Points;
        return Matching.Span(at.Job, Item, ((finite(ax), finite(ay)), (finite(bx), finite(by))), at.Desk.Drawer.Shelf);
    }
}

/// <summary>Pastes items, onto a panel where one is given.</summary>
/// <param name="Text">The items as text.</param>
/// <param name="New">What the new items' ids begin with.</param>
/// <param name="Panel">The panel.</param>
public sealed record Paste(string Text, string New, string? Panel = null) : Ask
{
    public override Edit Make(Asking at) =>
        new PasteItems(Clip.Read(Text), New, at.Wrap, Parts.TryParse(Panel ?? "", out var onto) ? onto : null);
}

/// <summary>
/// Adds words from elsewhere as a text of its own, on a panel; about a point of the sheet where one is given.
/// </summary>
public sealed record AddWords(string Item, string Words, string Panel, double? X = null, double? Y = null) : Ask
{
    public override Edit Make(Asking at)
    {
        var words = Plain.Text(Words.ReplaceLineEndings("\n")).Trim();
        if (words.Length == 0) throw No("there are no words in what was pasted");
        if (words.Length > TextItem.LongestWords)
            throw No($"{words.Length} letters are more than a text holds: up to {TextItem.LongestWords}");
        var text = ((TextItem)Starters.Item(at.Job, "text", PanelOf(Panel), Item,
            at.Wrap)) with
        { Words = words, Starter = false, Fit = Fitting.Grow };
        var add = new AddItem(text, Wrap: at.Wrap);
        if (X is not { } x || Y is not { } y) return add;
        return new Together([add, new LayItem(Item, Points(Item, x), Points(Item, y))], add.Says(at.Job));
    }
}

/// <summary>Adds an item of a kind to a panel, under an id.</summary>
public sealed record AddNew(string Item, string Kind, string Panel) : Ask
{
    public override Edit Make(Asking at) =>
        Starters.Item(at.Job, Kind, PanelOf(Panel), Item, at.Wrap) is var item
            && (item is SketchedItem { IsScene: true } || Kind == "paper")
            // What covers the sheet goes under all else.
            ? new AddItem(item, 0, at.Wrap)
            : new AddItem(FreePlace.Of(item, at.Job, at.Wrap), Wrap: at.Wrap);
}
