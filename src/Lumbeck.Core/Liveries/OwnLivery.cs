using System.Text.Json.Serialization;

namespace Lumbeck.Core.Liveries;

/// <summary>What the words, or the picture, of a kept part are taken from.</summary>
public enum Says
{
    /// <summary>They are its own, and stay.</summary>
    Itself, Title, SpineTitle, Subtitle, Author, Surname, Blurb, Note, Quotation, Imprint, Category, Series, Number,
    SeriesAndNumber, Mark, Portrait,
}

/// <summary>One part of a kept cover, with where its words come from.</summary>
/// <param name="Item">As it lay on the cover; a picture without its file is a place for one.</param>
/// <param name="Says">What its words are taken from.</param>
public sealed record OwnPart(Item Item, Says Says);

/// <summary>How large a panel was on the cover that it was kept from: what it is scaled by.</summary>
public sealed record OwnPanel(Part Part, Size Size);

/// <summary>One wrap of a kept cover.</summary>
/// <param name="Ground">What lies under everything.</param>
/// <param name="Parts">From the lowest.</param>
/// <param name="Panels">Its panels, and the sheet.</param>
public sealed record OwnWrap(Fill Ground, ImmutableList<OwnPart> Parts, ImmutableList<OwnPanel> Panels);

/// <summary>
/// A livery that was kept from a cover: its faces, swatches, ground and the places of its parts by role, so that the next
/// volume of a series looks like the first.
/// </summary>
/// <param name="Id">Its word.</param>
/// <param name="Name">What people read.</param>
/// <param name="Swatches">The swatches that it names.</param>
/// <param name="Wraps">The wraps of the cover that it was kept from, the one that carries the front first.</param>
/// <param name="VolumeSwatch">The swatch that each volume of a series may have its own ink for; empty for none.</param>
public sealed record OwnLivery(string Id, string Name, ImmutableList<Swatch> Swatches, ImmutableList<OwnWrap> Wraps,
    string VolumeSwatch)
{
    /// <summary>Most letters of its name.</summary>
    public const int LongestName = 60;

    [JsonIgnore]
    public IEnumerable<FaceId> Faces => Wraps.SelectMany(w => w.Parts).Select(p => p.Item).OfType<TextItem>()
        .SelectMany(t => t.Runs.Select(r => r.Style.Face).OfType<FaceId>().Prepend(t.Style.Face)).Distinct();

    /// <summary>A cover as a livery.</summary>
    public static OwnLivery Of(Job job, string id, string name)
    {
        var wraps = job.Sheets().GroupBy(s => s.Wrap).OrderBy(g => g.Key).Select(g => new OwnWrap(
            Ground(job.Wraps[g.Key].Take.Ground),
            [
                .. job.Wraps[g.Key].Take.Items.Where(i => !i.Hidden && !IsOfPage(i)).Select(i => new OwnPart(
                    Kept(i), i is TextItem t ? SaidBy(t, job.Ticket) : ShownBy(i, job.Ticket))),
            ],
            [
                new(Part.Sheet, g.First().Sheet.Size),
                .. g.SelectMany(s => s.Sheet.Panels).DistinctBy(p => p.Part).Select(p => new OwnPanel(p.Part, p.Face.Size)),
            ])).ToImmutableList();
        var named = wraps[0].Ground.Paint is SwatchPaint s ? s.Swatch : "";
        return new(id, name, job.Swatches, wraps, named);
    }

    // Pages of the one book say nothing of the next.
    private static bool IsOfPage(Item item) =>
        item.Laid?.Part.StartsWith(LiveryComposer.PagePart, StringComparison.Ordinal) == true;

    private static Says ShownBy(Item item, Ticket t) => item is not PictureItem { Picture: { } picture } ? Says.Itself
        : picture.Hash == t.Mark?.Hash ? Says.Mark
        : picture.Hash == t.Portrait?.Hash ? Says.Portrait : Says.Itself;

    // A photograph is this book's own; a drawing, such as an imprint's mark, is the series'.
    private static Item Kept(Item item) => item with { Laid = null, From = null, Locked = false } is var plain
        && plain is PictureItem { Picture.IsDrawing: false } p ? p with { Picture = null } : plain;

    private static Fill Ground(Fill ground) => ground.Pictures.Any(p => !p.IsDrawing) ? new(ground.Paint) : ground;

    private static Says SaidBy(TextItem text, Ticket t)
    {
        var words = Plain.Bare(text.Words);
        var spine = text.Hold.Panel == Part.Spine;
        bool is_(string fact) => fact.Length > 0 && Plain.Bare(fact) is { Length: > 0 } bare && bare == words;
        if (spine && text.Role == TextRole.Title) return Says.SpineTitle;
        if (text.Role == TextRole.Author) return is_(t.Author) || !spine ? Says.Author : Says.Surname;
        if (t.Series.Length > 0 && is_(t.Series + t.SeriesNumber) && t.SeriesNumber.Length > 0) return Says.SeriesAndNumber;
        if (is_(t.SeriesNumber)) return Says.Number;
        return text.Role switch
        {
            TextRole.Title => Says.Title,
            TextRole.Subtitle => Says.Subtitle,
            TextRole.Blurb => Says.Blurb,
            TextRole.Note => Says.Note,
            TextRole.Quotation => Says.Quotation,
            TextRole.Imprint => Says.Imprint,
            TextRole.Category => Says.Category,
            _ when is_(t.Series) => Says.Series,
            _ when is_(t.Title) => Says.Title,
            _ when is_(t.Subtitle) => Says.Subtitle,
            _ when is_(t.Author) => Says.Author,
            _ when is_(t.Imprint) => Says.Imprint,
            _ when t.Blurb.Length > 0 && is_(t.Blurb) => Says.Blurb,
            _ => Says.Itself,
        };
    }
}
