namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>
/// Calms the ground's pattern under the words that lie on it: its paints go toward the ground's there, so far that each
/// text can be read at 4.5 : 1; or lets it be as lively as everywhere again.
/// </summary>
/// <param name="Calm">Whether it is calm.</param>
/// <param name="Wrap">The wrap.</param>
public sealed record CalmPattern(bool Calm, int Wrap = 0) : Edit
{
    /// <summary>What words want (WCAG 2.2, 1.4.3), with something for inks that are but nearly known here.</summary>
    private const double Wanted = 4.5 * 1.1;

    public override string Says(Job before) => Calm ? "calm under words" : "no calm under words";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count)
            throw new Refusal(GroundPath.Of(Wrap, "calm"), "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        var pattern = take.Ground.Pattern
            ?? throw new Refusal(GroundPath.Of(Wrap, "calm"), "no pattern lies on the ground: pick one first");
        var boxes = Calm ? Boxes(job, take, pattern).ToImmutableList() : [];
        if (Calm && boxes.Count == 0)
            throw new Refusal(GroundPath.Of(Wrap, "calm"), "no words need it: each can be read on this pattern as it is");
        return job.With(Wrap, take with { Ground = take.Ground with { Pattern = pattern with { Calm = boxes } } });
    }

    /// <summary>Whether a calm pattern would be calm elsewhere as words lie now.</summary>
    public static bool IsStale(Job job, int wrap)
    {
        if (wrap >= job.Wraps.Count || job.Wraps[wrap].Take.Ground.Pattern is not { Calm.Count: > 0 } pattern) return false;
        var boxes = new CalmPattern(true, wrap).Boxes(job, job.Wraps[wrap].Take, pattern).ToList();
        return boxes.Count > 0 && !boxes.SequenceEqual(pattern.Calm);
    }

    /// <summary>Wider than any sheet, in points.</summary>
    private const double Far = 100_000;

    private IEnumerable<CalmBox> Boxes(Job job, Take take, Pattern pattern)
    {
        var found = 0;
        foreach (var text in take.Items.OfType<TextItem>()
            .Where(t => !t.Hidden && t.Backing is null && t.Words.Length > 0))
        {
            if (text.Style.Paint is FinishPaint or GradientPaint) continue;
            var sheet = job.SheetOf(text, Wrap);
            if (Placement.Of(text, sheet) is not { } at) continue;
            var share = Share(text.Style.Paint.Resolve(job.Swatches), pattern, take.Ground.Paint, job.Swatches);
            if (share == 0 || found++ >= Pattern.MostCalm) continue;
            var box = at.ToSheet.Of(new(0, 0, at.Box.Width.Points, at.Box.Height.Points));
            // What lies off the sheet, or has no extent that can be told, is read nowhere.
            var whole = new Bounds(0, 0, sheet.Size.Width.Points, sheet.Size.Height.Points);
            if (!(box.Left < whole.Right && box.Right > whole.Left && box.Top < whole.Bottom && box.Bottom > whole.Top
                && box.Right - box.Left < Far && box.Bottom - box.Top < Far))
                continue;
            var front = (sheet.Panel(Part.Front)?.Face ?? sheet.Trim);
            decimal mm(double points) => Math.Round((decimal)(points * 25.4 / 72), 2);
            yield return new(mm(box.Left - front.X.Points), mm(box.Top - front.Y.Points), mm(box.Right - box.Left),
                mm(box.Bottom - box.Top), share);
        }
    }

    /// <summary>How far the paints must go, in percent; 0 where words can be read as it is.</summary>
    private static int Share(Ink words, Pattern pattern, Paint? ground, IReadOnlyList<Swatch> swatches)
    {
        bool readable(int share) => pattern.Paints.All(p =>
            Seen.Contrast(words, Mixing.Toward(p, ground, share / 100.0, swatches).Resolve(swatches)) >= Wanted);
        for (var share = 0; share < 95; share += 5) if (readable(share)) return share;
        return 95;
    }
}
