using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

// What is placed again and again, and flattened parts.
internal sealed partial class PdfPainter
{
    /// <summary>
    /// The same marks in each of their places: a form of their own, in their own coordinates, and where it is drawn.
    /// </summary>
    private void Repeated(RepeatedMark mark, Affine toPage)
    {
        if (mark.Symbol.IsEmpty || mark.Places.IsEmpty) return;
        var name = has.Symbol(mark, () =>
        {
            var (page, fill, overprinting) = (_s, _fill, _overprinting);
            // A form begins with the state it is drawn in (8.10.1): it sets its own.
            (_s, _fill, _overprinting) = (new ContentWriter().State("Gk").Break(), null, false);
            foreach (var inner in mark.Symbol) Mark(inner, Affine.Identity);
            var content = _s;
            (_s, _fill, _overprinting) = (page, fill, overprinting);
            return content;
        });
        foreach (var place in mark.Places)
            _s.Save().Concat(place.Then(toPage).AsMatrix()).XObject(name).Restore().Break();
    }

    /// <summary>Most tiles that are drawn one by one.</summary>
    private const int MostTiles = 1000;

    private void Tiles(TilesMark tiled, Affine toPage)
    {
        if (TilingPattern.Over(tiled, MostTiles) is { } few)
        {
            Clipped(tiled.Clip, toPage, false, () =>
            {
                foreach (var tile in few)
                {
                    var place = tile.Place.Then(toPage);
                    if (has.Picture(tile, Wide(place)) is not { } picture) return;
                    _s.Save();
                    Image(picture, place);
                    _s.Restore().Break();
                }
            });
            return;
        }
        var cell = tiled.PatternMatrix.Then(toPage);
        if (has.Tiles(tiled, cell, Wide(cell)) is not { } pattern) return;
        _s.Pattern(pattern).Break();
        _fill = null;
        Shape(tiled.Clip, toPage);
        _s.Fill().Break();
    }

    /// <summary>A flattened part seen through a shape, or through letters that clip as type does (9.3.6).</summary>
    private void Flat(Plates.FlatMark flat, Affine toPage)
    {
        var parts = has.Flat(flat.Part);
        if (parts.Count > 0 && flat.Clip is not { IsEmpty: true })
        {
            _s.Save().Break();
            if (flat.Letters is { } letters)
            {
                if (shapes is null) Glyphs(letters, toPage, 7);
                else { Shape(shapes(letters), toPage); _s.ClipToPath().Break(); }
            }
            else if (flat.Clip is { } clip) { Shape(clip, toPage); _s.ClipToPath().Break(); }
            foreach (var part in parts) Flat(part);
            _s.Restore().Break();
        }
        else if (flat.Letters is { } covered && shapes is null)
        {
            _s.Save().Break(); Glyphs(covered, toPage, 3);
            _s.Restore().Break();
        }
        if (shapes is null) foreach (var hidden in flat.Hidden)
        {
            _s.Save().Break();
            Glyphs(hidden, toPage, 3);
            _s.Restore().Break();
        }
    }

    /// <summary>A rectangle of it, which takes off whatever is under it on every plate.</summary>
    private void Flat(FlatDrawn part)
    {
        var b = part.Place;
        var place = new Affine(b.Right - b.Left, 0, 0, b.Bottom - b.Top, b.Left, b.Top).Then(page);
        _s.State("Gk").Break();
        if (part.Image is { } image)
        {
            _s.Save();
            Image(has.Named(image), place);
            _s.Restore().Break();
            return;
        }
        if (part.Space is { } space)
            _s.Tint(has.Space(space), stroke: false,
                [.. PressObjects.Shares(part.Ink), .. part.Tints.Select(t => t / 10_000.0)]).Break();
        else ink.Fill(_s, part.Ink).Break();
        Shape(Outline.Rectangle(0, 0, 1, 1), place);
        _s.Fill().Break();
    }
}
