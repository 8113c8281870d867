namespace Lumbeck.Press.Pdf;

/// <summary>The smallest part of a pattern of tiles that repeats, in tiles.</summary>
public static class TilingPattern
{
    /// <summary>How many tiles wide and high it is, and where its tiles lie.</summary>
    public static (int Across, int Down, IReadOnlyList<Affine> Tiles) Of(TilingMode lay) => lay switch
    {
        TilingMode.Brick => (1, 2, [Affine.Identity, Affine.Move(-0.5, 1), Affine.Move(0.5, 1)]),
        TilingMode.Mirrored =>
            (2, 2,
                [.. from row in (int[])[0, 1] from column in (int[])[0, 1] select ShapeDrawing.TileFlip(lay, column,
                    row)
                    .Then(Affine.Move(column, row))]),
        _ => (1, 1, [Affine.Identity]),
    };

    /// <summary>
    /// The tiles over a mark's shape, one by one; null where they are more than so many. A press that steps a pattern
    /// by whole pixels would shift them.
    /// </summary>
    public static IReadOnlyList<PictureMark>? Over(TilesMark mark, int most)
    {
        var seen = mark.PatternMatrix.Inverse().Of(mark.Clip.Bounds);
        var (left, right) = ((int)Math.Floor(seen.Left) - 1, (int)Math.Ceiling(seen.Right));
        var (top, bottom) = ((int)Math.Floor(seen.Top), (int)Math.Ceiling(seen.Bottom));
        if ((long)(right - left) * (bottom - top) > most) return null;
        var square = Outline.Rectangle(0, 0, 1, 1);
        var tiles = new List<PictureMark>();
        for (var row = top; row < bottom; row++)
            for (var column = left; column < right; column++)
            {
                var aside = mark.Tiling == TilingMode.Brick && (row & 1) == 1 ? 0.5 : 0;
                var place = ShapeDrawing.TileFlip(mark.Tiling, column, row).Then(Affine.Move(column + aside, row))
                    .Then(mark.PatternMatrix);
                tiles.Add(new(mark.Picture, place, square) { Convert = mark.Convert, Finish = mark.Finish });
            }
        return tiles;
    }
}
