namespace Lumbeck.Core.Edits;

/// <summary>All paints of a job, changed in one go.</summary>
public static class Paints
{
    /// <summary>The same job with each paint, of every take and every gradient's stop, as it is mapped.</summary>
    public static Job Map(Job job, Func<Paint, Paint> map)
    {
        Paint? each(Paint? p) =>
            p is null ? null : p is GradientPaint g ? g with
            {
                Stops = [.. g.Stops.Select(s => s with { Paint = map(s.Paint) })],
            } : map(p);
        return job with
        {
            Wraps = [.. job.Wraps.Select(w => w with
            {
                Takes = [.. w.Takes.Select(t => t with
                {
                    Ground = t.Ground.Painted(each),
                    Items = [.. t.Items.Select(i => i.Painted(each))],
                })],
            })],
            Inside = job.Inside is not { } inside ? null : inside with
            {
                Runs = [.. inside.Runs.Select(r => r with
                {
                    Behind = r.Behind?.Painted(each),
                    Designs = [.. r.Designs.Select(d => d with { Paints = [.. d.Paints.Select(p => each(p)!)] })],
                })],
            },
        };
    }

    /// <summary>How often a swatch is used, over all takes.</summary>
    public static int Uses(Job job, string swatch)
    {
        var uses = 0;
        Map(job, p => { if (p is SwatchPaint s && s.Swatch == swatch) uses++; return p; });
        return uses;
    }
}
