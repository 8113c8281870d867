namespace Lumbeck.Core.Liveries;

/// <summary>
/// Puts a kept livery on a job of any size and binding: each part keeps its place in its panel by role, scaled as the
/// panel is; words are the new ticket’s. Along the spine nothing is scaled where the height is the same, so that mark,
/// number and title stand at equal heights from the foot through all volumes.
/// </summary>
public static class OwnComposing
{
    /// <summary>Swatches as the livery’s parts name them on a job.</summary>
    /// <param name="own">The livery.</param>
    /// <param name="colour">The volume’s own ink for the swatch that may vary; null for the livery’s.</param>
    public static ImmutableList<Swatch> Swatches(OwnLivery own, Ink? colour) =>
    [
        .. own.Swatches.Select(s => s with
        {
            Id = Named(own, s.Id),
            Ink = colour is { } ink && s.Id == own.VolumeSwatch ? ink : s.Ink,
            Asked = colour is not null && s.Id == own.VolumeSwatch ? "" : s.Asked,
        }),
    ];

    private static string Named(OwnLivery own, string swatch) => $"{own.Id}-{swatch}" is { Length: > 40 } long_
        ? long_[..40] : $"{own.Id}-{swatch}";

    /// <param name="job">The job.</param>
    /// <param name="own">The livery.</param>
    /// <param name="seed">Of what is drawn by chance on the ground; null for the kept one, or the volume’s own where
    /// the ticket has a number.</param>
    /// <param name="id">Of the takes.</param>
    /// <param name="type">Faces.</param>
    public static Composition Compose(Job job, OwnLivery own, Seed? seed, string id, IType type)
    {
        var takes = ImmutableList.CreateBuilder<Take>();
        var t = job.Ticket;
        seed ??= t.SeriesNumber.Length > 0 ? Seed.Of($"{own.Name} {t.SeriesNumber}") : null;
        Paint? paint(Paint? p) => p switch
        {
            SwatchPaint s => s with { Swatch = Named(own, s.Swatch) },
            GradientPaint g => g with { Stops = [.. g.Stops.Select(x => x with { Paint = paint(x.Paint)! })] },
            _ => p,
        };
        foreach (var wrap in job.Sheets().GroupBy(s => s.Wrap).OrderBy(g => g.Key))
        {
            var kept = own.Wraps[Math.Min(wrap.Key, own.Wraps.Count - 1)];
            var sheets = wrap.Select(s => s.Sheet).ToList();
            var now = job.Wraps[wrap.Key].Take;
            var carried = Carried.Of(now, t);
            var (items, quotation, pictured) = (new List<Item>(), 0, false);
            foreach (var (item, says) in kept.Parts)
            {
                if (Scale(kept, item.Hold.Panel, sheets) is not var (across, down)) continue;
                var part = Scaled(item, across, down).Painted(paint);
                switch (part)
                {
                    case TextItem text:
                        if (text.Hold.Panel == Part.Spine && !SpineText.Allowed(t.House, t.Pages,
                            sheets.Select(s => s.Panel(Part.Spine)).First(p => p is not null)!.Face.Width))
                            continue;
                        var words = Words(says, text, t, carried, ref quotation);
                        if (words.Length == 0) continue;
                        items.Add(words == text.Words ? text : text with
                        {
                            Words = words,
                            Runs = [],
                            Style = text.Style with { Face = Livery.FaceFor(text.Style.Face, words, type) },
                            Fit = text.Composed || text.Fit != Fitting.AsSet ? text.Fit : Fitting.Shrink,
                        });
                        break;
                    case PictureItem place when says is Says.Mark or Says.Portrait:
                        if ((says == Says.Mark ? t.Mark : t.Portrait) is { } shown) items.Add(place with { Picture = shown });
                        else if (place.Picture is not null) items.Add(place);
                        break;
                    case PictureItem { Picture: null } place when carried.Picture is { } picture && !pictured:
                        pictured = true;
                        items.Add(place with { Picture = picture.Picture, Zoom = 100, PanX = 0, PanY = 0 });
                        break;
                    case BarcodeItem when t.Isbn is null:
                        break;
                    case SketchedItem sketched:
                        items.Add(seed is { } s ? sketched.With(sketched.Sketch with { Seed = s }) : sketched);
                        break;
                    default:
                        items.Add(part);
                        break;
                }
            }
            var ground = kept.Ground with
            {
                Paint = paint(kept.Ground.Paint),
                Pattern = kept.Ground.Pattern is { } p ? p with
                {
                    Seed = seed ?? p.Seed,
                    Paints = [.. p.Paints.Select(x => paint(x)!)],
                } : null,
            };
            takes.Add(Carried.Beside(LiveryComposing.Stamped(new(id, own.Name, ground, [.. items]), wrap.Key, own.Id, 1,
                seed ?? default, t), now, t));
        }
        return new(LiveryComposing.Apart(takes), []);
    }

    /// <summary>How much wider and higher a panel is than the kept one; null where there is none.</summary>
    private static (decimal Across, decimal Down)? Scale(OwnWrap kept, Part part, List<Sheet> sheets)
    {
        var was = kept.Panels.FirstOrDefault(p => p.Part == part)?.Size;
        var now = part == Part.Sheet ? sheets[0].Size : sheets.Select(s => s.Panel(part)).FirstOrDefault(p => p is not null)?.Face.Size;
        if (was is not { } w || now is not { } n || w.Width.Units == 0 || w.Height.Units == 0) return null;
        var (across, down) = ((decimal)n.Width.Units / w.Width.Units, (decimal)n.Height.Units / w.Height.Units);
        // A spine is read level: along it is its height, across it its width.
        return part == Part.Spine ? (down, across) : (across, down);
    }

    private static Item Scaled(Item item, decimal across, decimal down)
    {
        var both = Math.Min(across, down);
        item = item with
        {
            Hold = item.Hold with { Dx = across * item.Hold.Dx, Dy = down * item.Hold.Dy },
            Width = item.Width with { Own = across * item.Width.Own },
            Height = item.Height with { Own = down * item.Height.Own },
        };
        return item is TextItem { Composed: false } t ? t with
        {
            Style = t.Style with { Size = both * t.Style.Size, Space = both * t.Style.Space },
            Runs = [.. t.Runs.Select(r => r with
                { Style = r.Style with { Size = r.Style.Size is { } size ? both * size : null } })],
        } : item;
    }

    private static string Words(Says says, TextItem kept, Ticket t, Carried carried, ref int quotation) => says switch
    {
        Says.Title => carried.Title ?? t.Title,
        Says.SpineTitle => t.TitleOnSpine,
        Says.Subtitle => t.Subtitle,
        Says.Author => t.Author,
        Says.Surname => t.Surname,
        Says.Blurb => t.Blurb,
        Says.Note => t.Note,
        Says.Quotation => quotation < t.ReviewQuotes.Count ? t.ReviewQuotes[quotation++].Printed : "",
        Says.Imprint => t.Imprint,
        Says.Category => t.Category,
        Says.Series => t.Series,
        Says.Number => t.SeriesNumber,
        Says.SeriesAndNumber => t.Volume,
        _ => kept.Words,
    };
}
