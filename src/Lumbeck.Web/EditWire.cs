using Lumbeck.Web.Screens;

namespace Lumbeck.Web;

/// <summary>An item as a hand left it: its middle and sides in points of the sheet, its turn in degrees.</summary>
public sealed record LaidWire(string Item, double X, double Y, double? W, double? H, double? Turned);

/// <summary>What a browser sends to change a job, or to see what a change would do. One of the ways to say what to change is given; rules are Core's.</summary>
public sealed record EditWire
{
    public string Id { get; init; } = "";
    public string Session { get; init; } = "";
    public long? Base { get; init; }
    public string? Gesture { get; init; }
    /// <summary>What the browser shows: the tick, place and picked items that the answer is the difference from.</summary>
    public long Seen { get; init; }
    public Place Place { get; init; }
    /// <summary>Ids of the picked items, parted by commas.</summary>
    public string? Open { get; init; }
    /// <summary>The number of the sheet that is shown.</summary>
    public int Sheet { get; init; }
    /// <summary>Whether the browser shows something tried in place of what is saved.</summary>
    public bool Tried { get; init; }
    /// <summary>A fact's path and the text typed there; <c>items/fact</c> is that fact of each of <see cref="Items"/>.</summary>
    public string? Path { get; init; }
    public string? Text { get; init; }
    /// <summary>Where the caret stood after words were typed on the sheet.</summary>
    public int? Caret { get; init; }
    /// <summary>Two points of the sheet, x and y of each, between which <see cref="Item"/>'s words are spaced.</summary>
    public double[]? Marks { get; init; }
    /// <summary>An item's id, or several, with one of: steps to nudge them, steps to order them, how they are arranged, how a hand moved them, or their removal.</summary>
    public string? Item { get; init; }
    public string[]? Items { get; init; }
    public int Right { get; init; }
    public int Down { get; init; }
    public bool Far { get; init; }
    /// <summary>How far the items were carried over the sheet by hand, in points.</summary>
    public double? CarriedX { get; init; }
    public double? CarriedY { get; init; }
    /// <summary>How far a picture was pushed within its frame by hand, in points as the item stands.</summary>
    public double? PushedX { get; init; }
    public double? PushedY { get; init; }
    /// <summary>How a hand sized or turned items.</summary>
    public LaidWire[]? Laid { get; init; }
    public int Order { get; init; }
    public bool Remove { get; init; }
    /// <summary>One press, as <see cref="Arranging"/> has it; what makes new items makes them under <see cref="New"/>.</summary>
    public string? Arrange { get; init; }
    public string? New { get; init; }
    /// <summary>A kind of item to add to a panel, under <see cref="Item"/>'s id; <c>swatch</c> adds a swatch.</summary>
    public string? Add { get; init; }
    public string? Panel { get; init; }
    /// <summary>Items as text, to be pasted under ids that begin with <see cref="New"/>, onto <see cref="Panel"/> where one is given.</summary>
    public string? Paste { get; init; }
    /// <summary>What is done with the shown wrap's takes: <c>new</c> named <see cref="Text"/>, or <c>choose</c>, by <see cref="Order"/>.</summary>
    public string? Design { get; init; }
    /// <summary>An item that was looked at since the sheet changed, or <c>all</c>.</summary>
    public string? Looked { get; init; }
    /// <summary>What is done with swatches: <c>harmony</c> adds the one that goes with swatch <see cref="Item"/> by its <see cref="Order"/>, <c>palette</c> the colours of a picture, <c>remove</c> takes one away.</summary>
    public string? Colours { get; init; }
    /// <summary>Takes over what lies beside the ticket: <c>inside</c>, <c>inside-pages</c>, <c>inside-trim</c> or the house's new <c>rules</c>; <c>no-inside</c> lets the inside go.</summary>
    public string? Take { get; init; }
    /// <summary>The finding to mend, by its key, or <c>all</c>.</summary>
    public string? Mend { get; init; }
    /// <summary>A rule to go without for the reason <see cref="Text"/>, or with none to look at again.</summary>
    public string? Waive { get; init; }
    /// <summary>Back or forward through the steps, instead of an edit.</summary>
    public string? Step { get; init; }

    /// <exception cref="Refusal">What was sent says nothing that can be done.</exception>
    public Edit Make(Job job, Desk.Desk desk)
    {
        if (Waive is not null) return new WaiveRule(Waive, Text ?? "");
        // Houses of the maker's own are known to the desk alone.
        if (Path == "ticket/house") return new SetHouse(desk.House(Text ?? "").House);
        if (Items is { Length: > AddItem.Most } or [] || Laid is { Length: > AddItem.Most } or []) throw new Refusal("edit", $"from one to {AddItem.Most} items can be changed at once");
        if (Path == "items/group" && Items is not null) return new GroupItems([.. Items], Text ?? "");
        if (Path?.StartsWith("items/", StringComparison.Ordinal) == true && Items is not null) return Arranging.Each(Items, id => Facts.Write(job, $"item/{id}/{Path[6..]}", desk.InInks(job, Path, Text ?? "")), job, Path[6..]);
        if (Path?.Split('/') is ["swatch", var swatch, "mix"]) return desk.Mixed(job, swatch, Text ?? "");
        if (Path?.Split('/') is ["item", var typed, "words"] && Caret is { } caret) return new SetWords(typed, (Text ?? "").ReplaceLineEndings("\n"), caret);
        if (Marks is [var ax, var ay, var bx, var by] && Item is { } spaced) return Matching.Span(job, spaced, ((Finite(spaced, ax), Finite(spaced, ay)), (Finite(spaced, bx), Finite(spaced, by))), desk.Shelf);
        if (Path is not null) return Facts.Write(job, Path, desk.InInks(job, Path, Text ?? ""));
        if (Colours is not null) return Coloured(job, desk);
        if (Take is not null) return Taken(job, desk);
        if (Looked is not null) return new Looked(Looked == "all" ? null : Looked);
        if (Design is not null) return Designed(job);
        if (Paste is not null) return new PasteItems(Clip.Read(Paste), New ?? "", Wrap(job), Parts.TryParse(Panel ?? "", out var onto) ? onto : null);
        if (Arrange is "swap-covers") return new SwapCovers(Wrap(job));
        if (Laid is not null) return Arranging.Each(Laid, ByHand, job, "by hand");
        if (Item is not null && Add is not null) return Added(job, Item);
        if ((Items ?? (Item is null ? null : [Item])) is not { } items) throw new Refusal("edit", "nothing to change was named");
        if (CarriedX is { } x && CarriedY is { } y) return Arranging.Each(items, id => new DropItem(id, Points(id, x), Points(id, y)), job, "move");
        if (PushedX is { } right && PushedY is { } down) return new PushPicture(items[0], Points(items[0], right), Points(items[0], down));
        if (Arrange is not null) return Arranging.Of(job, items, Arrange, New ?? "", Panel);
        if (Remove) return Arranging.Each(items, id => new RemoveItem(id), job, "remove");
        if (Order != 0) return Arranging.Order(job, items, Math.Clamp(Order, -1000, 1000));
        return Arranging.Each(items, id => Nudge.Of(job, id, Math.Clamp(Right, -1000, 1000), Math.Clamp(Down, -1000, 1000), Far), job, "move");
    }

    private int Wrap(Job job)
    {
        var sheets = job.Sheets();
        return sheets[Math.Clamp(Sheet, 0, sheets.Length - 1)].Wrap;
    }

    private Edit Added(Job job, string item) => Add is "swatch"
        ? new AddSwatch(new(item, Free.Numbered("Swatch", n => job.Swatches.Any(s => s.Name == n)), Ink.Percent(0, 0, 0, 60)))
        : new AddItem(Starters.Item(job, Add!, Parts.TryParse(Panel ?? "", out var part) ? part : throw new Refusal("edit", "no such panel"), item, Wrap(job)), Wrap: Wrap(job));

    private LayItem ByHand(LaidWire l) => new(l.Item, Points(l.Item, l.X), Points(l.Item, l.Y), l.W is { } w ? Points(l.Item, w) : null, l.H is { } h ? Points(l.Item, h) : null,
        l.Turned is not { } t ? null : double.IsFinite(t) && Math.Abs(t) < 1e5 ? (decimal)t : throw new Refusal($"item/{l.Item}/turned", "it can’t be turned so far"));

    private static double Finite(string item, double points) => Points(item, points).Points;

    private static Length Points(string item, double points) => double.IsFinite(points) && Math.Abs(points) < 1e5
        ? Length.FromDrawing(points)
        : throw new Refusal($"item/{item}", "it can’t be carried so far");

    private Edit Designed(Job job)
    {
        var wrap = Wrap(job);
        return Design switch
        {
            "new" => new AddTake(wrap, string.IsNullOrWhiteSpace(Text) ? Free.Numbered("Take", n => job.Wraps[wrap].Takes.Any(t => t.Name == n), job.Wraps[wrap].Takes.Count + 1) : Text),
            "choose" => new ChooseTake(wrap, Order),
            _ => throw new Refusal("edit", "nothing to do with a take was named"),
        };
    }

    private Edit Coloured(Job job, Desk.Desk desk)
    {
        var made = New is { Length: > 0 and <= 30 } n ? n : "swatch";
        if (Colours == "remove") return new RemoveSwatch(Item ?? "");
        if (Colours == "palette")
        {
            if (job.Item(Item ?? "") is not PictureItem { Picture: { } picture }) throw new Refusal("edit", "there is no picture to take colours from");
            return desk.AddColours(job, desk.Pictures.Palette(picture.Hash, Press.Colour.PressCondition.Of(job.Ticket.House)).Select(c => (System.IO.Path.GetFileNameWithoutExtension(picture.Name), (Asked)c)), made, $"colours of {picture.Name}");
        }
        var of = job.Swatches.FirstOrDefault(s => s.Id == Item) ?? throw new Refusal("edit", "this swatch was removed in the meantime");
        var harmonies = desk.Harmonies(job, of);
        if (Colours != "harmony" || Order < 0 || Order >= harmonies.Count) throw new Refusal("edit", "nothing to do with a swatch was named");
        return new AddSwatch(new(made, Free.Like($"{(of.Name.Length > 24 ? of.Name[..24] : of.Name)} {harmonies[Order].Name}", n => job.Swatches.Any(s => s.Name.Equals(n, StringComparison.OrdinalIgnoreCase))), harmonies[Order].Ink));
    }

    private Edit Taken(Job job, Desk.Desk desk) => Take switch
    {
        "inside" => new TakeInside(),
        "inside-pages" => new TakeInside(Trim: false),
        "inside-trim" => new TakeInside(Pages: false),
        "no-inside" => new LayInside(null),
        "rules" => new SetHouse(desk.House(job.Ticket.House.Id).House),
        _ => throw new Refusal("edit", "nothing to take over was named"),
    };
}
