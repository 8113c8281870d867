namespace Lumbeck.Core.Edits.OfItems;

/// <summary>Says that an item has been looked at since the sheet changed; all of them where none is named.</summary>
public sealed record MarkReviewed(string? Item = null) : Edit
{
    public override string Says(Job before) => Item is null ? "looked at all" : $"looked at {before.Item(Item)?.Said}";
    protected override Job On(Job job) => job with
    {
        Looks = Item is null ? [] : job.Looks.RemoveAll(l => l.Item == Item),
    };
}
