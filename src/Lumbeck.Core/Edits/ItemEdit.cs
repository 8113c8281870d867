namespace Lumbeck.Core.Edits;

/// <summary>An edit of one item. A locked item is left alone by everything that would move or change it.</summary>
public abstract record ItemEdit(string Item) : Edit
{
    protected abstract string Fact { get; }
    protected virtual bool HeldByLock => true;
    public override string Says(Job before) => $"{Word(Fact)} of {before.Item(Item)?.Said ?? "an item"}";

    /// <summary>A fact as people call it.</summary>
    private static string Word(string fact) => fact switch
    {
        "hold" => "place",
        "runs" => "letters",
        "pan-x" or "pan-y" => "framing",
        "line-width" => "line’s weight",
        "grow" => "grown edges",
        _ => fact.Replace('-', ' '),
    };

    protected abstract Item On(Item item, Job job);

    protected override Job On(Job job) => job.WithItem(Item, i => i.Locked && HeldByLock
        ? throw new Refusal($"item/{Item}/{Fact}",
            $"this {i.Kind.ToLower(CultureInfo.InvariantCulture)} is locked: unlock it first")
        : Freed(i, On(i, job)));

    /// <summary>What is placed or sized by hand is no longer composed.</summary>
    private static Item Freed(Item before, Item after) => before is TextItem { Composed: true } b
        && after is TextItem { Composed: true } a
        && (a.Hold != b.Hold || a.Width != b.Width || a.Height != b.Height || a.Turned != b.Turned
            || a.Style.Size != b.Style.Size || a.Style.Align != b.Style.Align || a.Style.Stand != b.Style.Stand)
            ? a with { Composed = false }
            : after;
}

internal static class Items
{
    /// <summary>The wrap and take that an item lies on.</summary>
    /// <exception cref="Refusal">The item is gone.</exception>
    public static (int Wrap, Take Take) On(Job job, string id) =>
        job.WrapOf(id) is >= 0 and var wrap ? (wrap, job.Wraps[wrap].Take) : throw Job.Gone(id);

    public static TextItem AsText(this Item item) => item as TextItem ?? throw Wrong(item);
    public static Refusal Wrong(Item item) =>
        new($"item/{item.Id}", $"a {item.Kind.ToLower(CultureInfo.InvariantCulture)} has no such setting");
}
