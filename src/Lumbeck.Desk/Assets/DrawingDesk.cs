using System.Collections.Concurrent;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Drawn;

namespace Lumbeck.Desk.Assets;

/// <summary>Drawn pictures as marks, in a house's press colours; each is read once.</summary>
internal sealed class DrawingDesk(PictureDesk pictures, PressColour colour) : IDrawings
{
    private readonly ConcurrentDictionary<string, ImmutableArray<Mark>> _read = new();

    public ImmutableArray<Mark>? Of(Picture picture)
    {
        if (_read.Count > 200) _read.Clear();
        // What can't be read is no answer to keep: its file may be mended.
        try
        {
            return _read.GetOrAdd(picture.Hash,
                hash =>
                    SvgReading.Read(File.ReadAllBytes(pictures.PathOf(hash)), picture.Name, rgb => colour.Mix(rgb))
                        .Marks);
        }
        catch (Exception e) when (e is Refusal or IOException) { return null; }
    }

    public bool[,]? Squares(string text, CodeLevel level)
    {
        if (_squares.Count > 200) _squares.Clear();
        return _squares.GetOrAdd((text, level), code => Press.Codes.QrSquares.Of(code.Text, code.Level));
    }

    private readonly ConcurrentDictionary<(string Text, CodeLevel Level), bool[,]?> _squares = new();
}
