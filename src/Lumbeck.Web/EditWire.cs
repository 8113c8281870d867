using Lumbeck.Web.Screens;

namespace Lumbeck.Web;

/// <summary>What a browser sends to change a job, or to see what a change would do. One of the ways to say what to change is given; rules are Core's.</summary>
public sealed record EditWire
{
    public string Id { get; init; } = "";
    public string Session { get; init; } = "";
    public long? Base { get; init; }
    public string? Gesture { get; init; }
    /// <summary>What the browser shows: the tick, place and picked item that the answer is the difference from.</summary>
    public long Seen { get; init; }
    public Place Place { get; init; }
    public string? Open { get; init; }
    /// <summary>The number of the sheet that is shown.</summary>
    public int Sheet { get; init; }
    /// <summary>Whether the browser shows something tried in place of what is saved.</summary>
    public bool Tried { get; init; }
    /// <summary>A fact's path and the text typed there.</summary>
    public string? Path { get; init; }
    public string? Text { get; init; }
    /// <summary>An item's id, with one of: steps to nudge it, steps to order it, or its removal.</summary>
    public string? Item { get; init; }
    public int Right { get; init; }
    public int Down { get; init; }
    public bool Far { get; init; }
    /// <summary>How far an item was carried over the sheet by hand, in points.</summary>
    public double? CarriedX { get; init; }
    public double? CarriedY { get; init; }
    public int Order { get; init; }
    public bool Remove { get; init; }
    /// <summary>One press: <c>centre</c>, <c>middle</c> (down too), <c>panel</c>, <c>bleed</c>, <c>sheet</c>, or, under a <see cref="New"/> id, <c>copy</c> and <c>other-cover</c>.</summary>
    public string? Arrange { get; init; }
    public string? New { get; init; }
    /// <summary>A kind of item to add to a panel, under <see cref="Item"/>'s id; <c>swatch</c> adds a swatch.</summary>
    public string? Add { get; init; }
    public string? Panel { get; init; }
    /// <summary>Takes over what lies beside the ticket: <c>inside</c>, <c>inside-pages</c>, <c>inside-trim</c> or the house's new <c>rules</c>; <c>no-inside</c> lets the inside go.</summary>
    public string? Take { get; init; }
    /// <summary>Back or forward through the steps, instead of an edit.</summary>
    public string? Step { get; init; }

    /// <exception cref="Refusal">What was sent says nothing that can be done.</exception>
    public Edit Make(Job job, Desk.Desk desk)
    {
        // Houses of the maker's own are known to the desk alone.
        if (Path == "ticket/house") return new SetHouse(desk.House(Text ?? "").House);
        if (Path is not null) return Facts.Write(job, Path, Text ?? "");
        if (Take is not null) return Taken(job, desk);
        if (Item is null) throw new Refusal("edit", "nothing to change was named");
        if (Add is "swatch") return new AddSwatch(new(Item, Free(job), Core.Colour.Ink.Percent(0, 0, 0, 60)));
        if (Add is not null)
        {
            var sheets = job.Sheets();
            var wrap = sheets[Math.Clamp(Sheet, 0, sheets.Length - 1)].Wrap;
            return new AddItem(Starters.Item(job, Add, Parts.TryParse(Panel ?? "", out var part) ? part : throw new Refusal("edit", "no such panel"), Item, wrap), Wrap: wrap);
        }
        if (CarriedX is { } x && CarriedY is { } y) return double.IsFinite(x) && double.IsFinite(y) && Math.Abs(x) < 1e5 && Math.Abs(y) < 1e5
            ? new DropItem(Item, Core.Measures.Length.FromDrawing(x), Core.Measures.Length.FromDrawing(y))
            : throw new Refusal($"item/{Item}", "it can’t be carried so far");
        if (Arrange is not null) return Arranged(Item);
        if (Remove) return new RemoveItem(Item);
        if (Order != 0) return new OrderItem(Item, Math.Clamp(Order, -1000, 1000));
        return Nudge.Of(job, Item, Math.Clamp(Right, -1000, 1000), Math.Clamp(Down, -1000, 1000), Far);
    }

    private Edit Arranged(string item) => Arrange switch
    {
        "centre" => new CentreItem(item),
        "middle" => new CentreItem(item, DownToo: true),
        "panel" => new StretchItem(item, Reach.Panel),
        "bleed" => new StretchItem(item, Reach.Bleed),
        "sheet" => new StretchItem(item, Reach.Sheet),
        "copy" => new CopyItem(item, New ?? ""),
        "other-cover" => new CopyItem(item, New ?? "", ToOtherCover: true),
        _ => throw new Refusal("edit", "nothing to arrange was named"),
    };

    private Edit Taken(Job job, Desk.Desk desk) => Take switch
    {
        "inside" => new TakeInside(),
        "inside-pages" => new TakeInside(Trim: false),
        "inside-trim" => new TakeInside(Pages: false),
        "no-inside" => new LayInside(null),
        "rules" => new SetHouse(desk.House(job.Ticket.House.Id).House),
        _ => throw new Refusal("edit", "nothing to take over was named"),
    };

    private static string Free(Job job)
    {
        for (var n = job.Swatches.Count + 1; ; n++)
            if ($"Swatch {n}" is var name && job.Swatches.All(s => s.Name != name)) return name;
    }
}
