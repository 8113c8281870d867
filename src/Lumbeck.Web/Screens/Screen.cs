using System.Text;

namespace Lumbeck.Web.Screens;

/// <summary>A part of a screen that can be replaced by itself: an element's id and the element.</summary>
public sealed record Fragment(string Id, string Html, bool Svg = false)
{
    /// <summary>
    /// The parts it lies in, one of which has a place for it: where one of those is sent anew, so is it.
    /// </summary>
    public IReadOnlyList<string> Within { get; init; } = [];
}

/// <summary>
/// A screen as its parts. What the browser is sent after an edit is the difference of two screens: the parts that
/// changed,
/// the drawn items that changed, and the glyph outlines it has not seen.
/// </summary>
public sealed record Screen(IReadOnlyList<Fragment> Parts, IReadOnlyList<Fragment> Art,
    IReadOnlyList<(string Id, string Path)> Glyphs)
{
    public Screen(IReadOnlyList<Fragment> parts) : this(parts, [], []) { }

    /// <summary>What it takes in memory, about.</summary>
    public long Bytes => 2L * (Parts.Sum(p => p.Html.Length) + Art.Sum(a => a.Html.Length)) + (64 * Glyphs.Count);

    /// <summary>One part's element, for the page that is sent whole.</summary>
    public string this[string id] => Parts.First(p => p.Id == id).Html;

    public string AllGlyphs => string.Concat(Glyphs.Select(g => g.Path));

    public string AllArt => string.Concat(Art.Select(a => a.Html));

    /// <summary>
    /// What turns <paramref name="before"/> into this screen, as partials; parts that must come whatever
    /// <paramref name="before"/> had, are named.
    /// </summary>
    public string Since(Screen before, params IReadOnlyList<string> always)
    {
        var s = new StringBuilder();
        var seen = before.Glyphs.Select(g => g.Id).ToHashSet();
        var fresh = string.Concat(Glyphs.Where(g => !seen.Contains(g.Id)).Select(g => g.Path));
        if (fresh.Length > 0)
            s.Append("<hx-partial hx-target=\"#glyphs\" hx-swap=\"beforeend strip:true\"><svg>").Append(fresh)
                .Append("</svg></hx-partial>");

        if (Art.Select(a => a.Id).SequenceEqual(before.Art.Select(a => a.Id)))
            for (var i = 0; i < Art.Count; i++) Changed(s, Art[i], before.Art[i]);
        else Put(s, new("art", $"<g id=\"art\">{AllArt}</g>", Svg: true));

        var sent = new HashSet<string>();
        foreach (var part in Parts)
            if (Changed(s, part,
                always.Contains(part.Id) || part.Within.Any(sent.Contains)
                    ? null
                    : before.Parts.FirstOrDefault(p => p.Id == part.Id)))
                sent.Add(part.Id);
        return s.ToString();
    }

    private static bool Changed(StringBuilder s, Fragment now, Fragment? before)
    {
        if (before?.Html == now.Html) return false;
        Put(s, now);
        return true;
    }

    private static void Put(StringBuilder s, Fragment part)
    {
        s.Append("<hx-partial hx-target=\"#").Append(part.Id).Append("\" hx-swap=\"outerMorph")
            .Append(part.Svg ? " strip:true\"><svg>" : "\">");
        s.Append(part.Html).Append(part.Svg ? "</svg></hx-partial>" : "</hx-partial>");
    }
}
