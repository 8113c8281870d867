namespace Lumbeck.Core.Edits;

/// <summary>All paints of a job, changed in one go.</summary>
public static class Paints
{
    /// <summary>The same job with each paint, of every take and every gradient's stop, as it is mapped.</summary>
    public static Job Map(Job job, Func<Paint, Paint> map)
    {
        Paint? each(Paint? p) => p is null ? null : p is GradientPaint g ? g with { Stops = [.. g.Stops.Select(s => s with { Paint = map(s.Paint) })] } : map(p);
        return job with
        {
            Wraps = [.. job.Wraps.Select(w => w with
            {
                Takes = [.. w.Takes.Select(t => t with
                {
                    Ground = t.Ground with { Paint = each(t.Ground.Paint), Paper = t.Ground.Paper is { } p ? p with { Paint = map(p.Paint) } : null },
                    Items = [.. t.Items.Select(i => Item(i, each))],
                })],
            })],
        };
    }

    /// <summary>How often a swatch is used, over all takes.</summary>
    public static int Uses(Job job, string swatch)
    {
        var uses = 0;
        Map(job, p => { if (p is SwatchPaint s && s.Swatch == swatch) uses++; return p; });
        return uses;
    }

    internal static Item Item(Item item, Func<Paint?, Paint?> each) => item switch
    {
        TextItem t => t with
        {
            Style = t.Style with { Paint = each(t.Style.Paint)! },
            Runs = t.Runs.Any(r => r.Style.Paint is not null) ? [.. t.Runs.Select(r => r with { Style = r.Style with { Paint = each(r.Style.Paint) } })] : t.Runs,
            Edge = t.Edge is { } e ? e with { Paint = each(e.Paint)! } : null,
            Shadow = t.Shadow is { } s ? s with { Paint = each(s.Paint)! } : null,
            Backing = t.Backing is { } b ? b with { Paint = each(b.Paint)! } : null,
        },
        ShapeItem s => s with { Fill = each(s.Fill), Line = each(s.Line) },
        CodeItem c => c with { Paint = each(c.Paint)! },
        BarcodeItem => item,
        _ => throw new NotSupportedException($"What {item.Kind} is painted with is not known."),
    };
}
