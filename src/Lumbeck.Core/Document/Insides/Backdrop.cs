namespace Lumbeck.Core.Document.Insides;

/// <summary>
/// Where a picture lies behind pages: over all of them, within the margins, or along the head or the foot.
/// </summary>
public enum BackdropPlace { Page, Margins, Head, Foot }

/// <summary>A picture behind a run's pages, on which one writes or reads.</summary>
/// <param name="Picture">It fills its place; what is over is cut away.</param>
public sealed record Backdrop(Picture Picture)
{
    public BackdropPlace Place { get; init; }

    /// <summary>How much of its ink is printed, in percent from 5 to 100: faint where one writes on it.</summary>
    public int Strength { get; init; } = Faint;

    /// <summary>Over so much, in percent, what is written or printed on it is hard to read.</summary>
    public const int Legible = 30;

    private const int Faint = 20, HeadShare = 3;

    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsSound => Picture is { IsSound: true } && Strength is >= 5 and <= 100 && Enum.IsDefined(Place);

    /// <summary>The same in another place: along an edge it is no ground for writing, and prints in full.</summary>
    public Backdrop At(BackdropPlace place) => this with
    {
        Place = place,
        Strength = place is BackdropPlace.Head or BackdropPlace.Foot ? 100 : Math.Min(Strength, Faint),
    };

    /// <summary>
    /// What it fills of a page: to the cut and over it where the book bleeds, else within the margins.
    /// </summary>
    public Box On(Surface page, bool bleeds)
    {
        var all = bleeds && Place != BackdropPlace.Margins ? page.Whole : page.Safe;
        var share = (1m / HeadShare) * page.Trim.Height;
        return Place switch
        {
            BackdropPlace.Head => new(all.X, all.Y, all.Width, page.Trim.Y + share - all.Y),
            BackdropPlace.Foot => new(all.X, page.Trim.Bottom - share, all.Width, all.Bottom - page.Trim.Bottom + share),
            _ => all,
        };
    }
}
