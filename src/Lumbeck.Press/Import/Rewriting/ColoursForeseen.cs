using Lumbeck.Pdf.Content;
using Lumbeck.Press.Import.Parsing;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// Colours of a whole page are brought to inks at once: setting a transform up for each costs far more than it does to
/// carry them through.
/// </summary>
internal sealed class ColoursForeseen(ImportResources has, PdfDict? resources) : IContentReader
{
    private const int Fewest = 4, Most = 100_000;

    private readonly HashSet<(double, double, double)> _seen = [];

    /// <param name="content">The page's, unpacked.</param>
    public void Of(byte[] content)
    {
        new ContentInterpreter(content, has.File, null, null).Run(this);
        if (_seen.Count < Fewest) return;
        foreach (var space in has.Spaces.OfRgb(resources))
            has.Inks.Many(space, [.. _seen.Select(c => (double[])[c.Item1, c.Item2, c.Item3])]);
    }

    public void Do(Operation o, GraphicsState before, GraphicsState now)
    {
        if (o.Op is Operator.FillRgb or Operator.StrokeRgb or >= Operator.StrokeColor and <= Operator.FillColorN
            && _seen.Count < Most && o.Numbers() is [var a, var b, var c])
            _seen.Add((a, b, c));
    }

    public bool Unreadable(Operation operation, GraphicsState now, string why) => true;
}
