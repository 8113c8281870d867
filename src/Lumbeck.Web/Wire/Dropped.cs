namespace Lumbeck.Web.Wire;

/// <summary>Where a picture's file was let go.</summary>
/// <param name="Name">The file's.</param>
/// <param name="Session">Which browser.</param>
/// <param name="Base">The tick it was let go at.</param>
/// <param name="Item">The frame it was let go on, or picked for.</param>
/// <param name="Replace">Whether it takes the place of what hangs in that frame.</param>
/// <param name="Panel">The panel it was let go on.</param>
/// <param name="Sheet">The id of the sheet that is shown.</param>
/// <param name="X">Where on the sheet, in points from its upper left corner.</param>
/// <param name="Y">Where on the sheet, in points from its upper left corner.</param>
/// <param name="Nth">Which of several files let go together, from 0: each lies aside of the one before.</param>
public sealed record Dropped(
    string? Name, string? Session, long? Base, string? Item, bool? Replace, string? Panel, string? Sheet, double? X,
        double? Y, int? Nth)
{
    /// <summary>So far right and down of the one before lies the next of several files.</summary>
    private static readonly Length Aside = Length.FromMillimetres(8);

    /// <summary>No more than so many lie aside of each other, so that none falls off the sheet.</summary>
    private const int MostAside = 20;

    /// <summary>
    /// Into an empty frame, or one whose picture is to be replaced; else as an item of its own where it was let go.
    /// </summary>
    public Edit Make(Job job, Picture picture, ref string id)
    {
        if (Item is not null && job.Item(Item) is PictureItem { Locked: false } frame
            && (frame.Picture is null || Replace == true))
        {
            id = Item;
            return new HangPicture(Item, picture);
        }
        var wrap = Asking.WrapOf(job, Sheet);
        var part = Parts.TryParse(Panel ?? "", out var p) ? p : Part.Front;
        var added = Starters.Pictured(job, part, id, picture, wrap);
        var add = new AddItem(added, Wrap: wrap);
        if (X is not { } x || Y is not { } y || !(Math.Abs(x) < 20_000 && Math.Abs(y) < 20_000)) return add;
        var aside = Math.Clamp(Nth ?? 0, 0, MostAside) * Aside;
        var lay = new LayItem(id, Length.FromDrawing(x) + aside, Length.FromDrawing(y) + aside, added.Width.Own,
            added.Height.Own);
        return new Together([add, lay], add.Says(job));
    }
}
