namespace Lumbeck.Core.Drawing.Spine;

/// <summary>
/// What a cover keeps right by itself after every edit: its composed spines, and boxes that grow with their words.
/// </summary>
internal static class PostEditFixups
{
    /// <summary>The job with both as they should be; the same job where they are.</summary>
    public static Job Of(Job job, IType type)
    {
        if (!job.Wraps.Any(w =>
            w.Takes.Any(t => t.Items.Any(i => i is TextItem { Composed: true } or TextItem { Fit: Fitting.Grow }))))
            return job;
        var sheets = job.Sheets();
        for (var wrap = 0; wrap < job.Wraps.Count; wrap++)
        {
            var own = sheets.Where(s => s.Wrap == wrap).Select(s => s.Sheet).ToList();
            if (own.Count == 0) continue;
            var w = job.Wraps[wrap];
            var takes = w.Takes.Select(t =>
            {
                foreach (var sheet in own) t = SpineComposing.Compose(t, sheet, job.Ticket, type);
                return Grown(t, own, job.Ticket, type);
            }).ToImmutableList();
            if (!takes.SequenceEqual(w.Takes))
                job = job with { Wraps = job.Wraps.SetItem(wrap, w with { Takes = takes }) };
        }
        return job;
    }

    private static Take Grown(Take take, List<Sheet> sheets, Ticket ticket, IType type)
    {
        var items = take.Items;
        foreach (var text in take.Items.OfType<TextItem>().Where(t => t.Fit == Fitting.Grow && !t.Upright))
        {
            if (sheets.Select(s => Placement.Of(text, s)).FirstOrDefault(p => p is not null) is not { } at) continue;
            var set = Typesetter.Set(text.ToSet(ticket, at.Panel.Turn), at.Box.Width.Points, at.Box.Height.Points,
                type);
            var height = Length.FromPoints((decimal)Math.Ceiling(Math.Max(set.Height, 1) * 100) / 100);
            if (text.Height != new Span(height)) items = items.Replace(text, text with { Height = new(height) });
        }
        return ReferenceEquals(items, take.Items) ? take : take with { Items = items };
    }
}
