using System.Collections.Concurrent;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// The pages of one file as another program draws them: begun beside the reading, and each drawn once
/// whoever asks for it.
/// </summary>
internal sealed class PageDrawings(string path)
{
    private readonly ConcurrentDictionary<(int Page, double PerInch, (int, int, int, int)? Part), Lazy<Task<DrawnInks?>>>
        _drawn = [];

    public static bool IsHere => PopplerRaster.IsHere;

    /// <summary>Begins to draw what will be asked for.</summary>
    public void Begin(int page, double perInch, (int X, int Y, int Wide, int High)? part = null)
    {
        if (IsHere) _ = Drawing(page, perInch, part);
    }

    /// <summary>A page in its four inks, or a part of it; null where it could not be drawn.</summary>
    public DrawnInks? Inks(int page, double perInch, (int X, int Y, int Wide, int High)? part = null) =>
        Drawing(page, perInch, part).GetAwaiter().GetResult();

    /// <summary>What of a page is painted; null where it could not be drawn.</summary>
    public DrawnCover? Cover(int page, double perInch) => Covering(page, perInch).GetAwaiter().GetResult();

    /// <summary>Begins to look at what of a page is painted.</summary>
    public void BeginCover(int page, double perInch) { if (IsHere) _ = Covering(page, perInch); }

    /// <summary>A page's plates by a second program; null where it could not be drawn.</summary>
    public DrawnPlates? Plates(int page, int perInch) => Separating(page, perInch).GetAwaiter().GetResult();

    /// <summary>Begins to draw those.</summary>
    public void BeginPlates(int page, int perInch) { if (GhostscriptPlates.IsHere) _ = Separating(page, perInch); }

    private readonly ConcurrentDictionary<(int Page, double PerInch), Lazy<Task<DrawnCover?>>> _covers = [];
    private readonly ConcurrentDictionary<(int Page, int PerInch), Lazy<Task<DrawnPlates?>>> _plates = [];

    private Task<DrawnPlates?> Separating(int page, int perInch) =>
        _plates.GetOrAdd((page, perInch), _ => new(() => Task.Run(() => GhostscriptPlates.Of(path, page,
            perInch)))).Value;

    private Task<DrawnCover?> Covering(int page, double perInch) =>
        _covers.GetOrAdd((page, perInch), _ => new(() => Task.Run(() => PopplerRaster.Cover(path, page,
            perInch)))).Value;

    private Task<DrawnInks?> Drawing(int page, double perInch, (int X, int Y, int Wide, int High)? part) =>
        _drawn.GetOrAdd((page, perInch, part),
            _ => new(() => Task.Run(() => PopplerRaster.Inks(path, page, perInch, part)))).Value;
}
