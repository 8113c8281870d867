using Lumbeck.Core.Papers;

namespace Lumbeck.Core.Jobs;

/// <summary>One book: its ticket, its swatches and the pieces that are printed for it.</summary>
public sealed record Job(Ticket Ticket, ImmutableList<Swatch> Swatches, ImmutableList<Wrap> Wraps)
{
    /// <summary>The wrap that carries the front; a jacketed hardcover has a second.</summary>
    public Wrap Wrap => Wraps[0];

    public Take Take => Wrap.Take;

    public Item? Item(string id) => Take.Items.FirstOrDefault(i => i.Id == id);

    /// <summary>The wrap's arithmetic, from the ticket and the rules the job was made with.</summary>
    public WrapGeometry Geometry() => WrapGeometry.Of(Ticket.Facts, Ticket.House);

    /// <exception cref="Refusal">The item is gone.</exception>
    public Job WithItem(string id, Func<Item, Item> change)
    {
        var item = Item(id) ?? throw Gone(id);
        return WithTake(Take with { Items = Take.Items.Replace(item, change(item)) });
    }

    public Job WithTake(Take take) => this with { Wraps = Wraps.SetItem(0, Wrap.With(take)) };

    public static Refusal Gone(string id) => new($"item/{id}", "this item was removed in the meantime: step back to have it again");
}

/// <summary>One printed piece with its alternative designs; one of them is on the bench.</summary>
public sealed record Wrap(string Name, ImmutableList<Take> Takes, int Current = 0)
{
    public Take Take => Takes[Current];

    public Wrap With(Take take) => this with { Takes = Takes.SetItem(Current, take) };
}

/// <summary>A design: what lies under everything, and the items on it from the lowest to the uppermost.</summary>
public sealed record Take(string Name, Ground Ground, ImmutableList<Item> Items);

/// <summary>
/// What lies under everything, out to the edge of the sheet: a paint, or none where items cover the sheet by themselves, and a drawn paper over it.
/// </summary>
public sealed record Ground(Paint? Paint, PaperDesign? Paper = null);
