using System.Text;

namespace Lumbeck.Core.Type;

/// <summary>
/// Sets text in a box: paragraphs made ready once, then broken into lines as a whole, and laid out. Screen, press file,
/// checks and small pictures all take what this gives.
/// </summary>
public static class Typesetter
{
    private const double Slack = 0.01;
    /// <summary>Words are not made smaller than this share of what was asked to fit their box.</summary>
    public const double Smallest = 0.2;

    /// <summary>Sets words in one style in a box of this width and height, in points.</summary>
    public static TextLayout Set(string words, TextStyle style, double width, double height, IType type) =>
        Set(new TextToSet(words, style), width, height, type);

    /// <summary>Sets a text in a box.</summary>
    /// <param name="text">What is set.</param>
    /// <param name="width">The box's width in points.</param>
    /// <param name="height">Its height; what grows is given as much as it takes.</param>
    /// <param name="type">Faces.</param>
    /// <param name="stops">Whether the places where a caret can stand are made.</param>
    public static TextLayout Set(TextToSet text, double width, double height, IType type, bool stops = false)
    {
        var missing = new List<Rune>();
        var instead = new List<(Rune, FaceId)>();
        var paragraphs = new List<Paragraph>();
        for (var from = 0; from <= text.Words.Length;)
        {
            var to = text.Words.IndexOf('\n', from);
            if (to < 0) to = text.Words.Length;
            paragraphs.Add(Paragraph.Of(text, from, to, type, missing, instead));
            from = to + 1;
        }
        // Upright lines run down the box; on a turned panel that is along it already.
        var (w, h) = text.Upright && text.Turned == Turn.None ? (height, width) : (width, height);
        Layout lay(double scale) =>
            new(text, paragraphs, scale, w, text.Fit == Fitting.Grow ? double.PositiveInfinity : h, type);
        var laid = lay(text.Fit == Fitting.FillWidth ? Filled(lay, w) : 1);
        if (text.Fit == Fitting.Shrink && laid.Overset is not null) laid = Shrunk(lay);
        return laid.Done(width, height, stops) with
        {
            Missing = [.. missing.Distinct()],
            Instead = [.. instead.DistinctBy(i => i.Item1)],
        };
    }

    private static double Filled(Func<double, Layout> lay, double width)
    {
        // At a hair's size nothing breaks: the longest line then says how large all may be.
        const double tiny = 0.001;
        var longest = lay(tiny).Lines.Select(l => l.Width).DefaultIfEmpty(0).Max();
        return longest > 0 ? Math.Clamp((width - (Slack / 2)) / longest * tiny, 0.02, 60) : 1;
    }

    private static Layout Shrunk(Func<double, Layout> lay)
    {
        var (low, high) = (Smallest, 1.0);
        var best = lay(low);
        if (best.Overset is not null) return best;
        for (var i = 0; i < 9; i++)
        {
            var middle = (low + high) / 2;
            if (lay(middle) is { Overset: null } fits) (low, best) = (middle, fits);
            else high = middle;
        }
        return best;
    }
}
