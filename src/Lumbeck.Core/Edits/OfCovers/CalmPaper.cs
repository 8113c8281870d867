namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>
/// Calms the ground's paper under the words that lie on it: its paints go toward the ground's there, so far that each
/// text can be read at 4.5 : 1; or lets it be as lively as everywhere again.
/// </summary>
/// <param name="Calm">Whether it is calm.</param>
/// <param name="Wrap">The wrap.</param>
public sealed record CalmPaper(bool Calm, int Wrap = 0) : Edit
{
    /// <summary>What words want (WCAG 2.2, 1.4.3), with something for inks that are but nearly known here.</summary>
    private const double Wanted = 4.5 * 1.1;

    public override string Says(Job before) => Calm ? "calm under words" : "no calm under words";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count)
            throw new Refusal(GroundPath.Of(Wrap, "calm"), "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        var paper = take.Ground.Pattern
            ?? throw new Refusal(GroundPath.Of(Wrap, "calm"), "no paper lies on the ground: pick one first");
        var boxes = Calm ? Boxes(job, take, paper).ToImmutableList() : [];
        if (Calm && boxes.Count == 0)
            throw new Refusal(GroundPath.Of(Wrap, "calm"), "no words need it: each can be read on this paper as it is");
        return job.With(Wrap, take with { Ground = take.Ground with { Pattern = paper with { Calm = boxes } } });
    }

    private IEnumerable<CalmBox> Boxes(Job job, Take take, Pattern paper)
    {
        var found = 0;
        foreach (var text in take.Items.OfType<TextItem>()
            .Where(t => !t.Hidden && t.Backing is null && t.Words.Length > 0))
        {
            if (text.Style.Paint is FinishPaint or GradientPaint) continue;
            var sheet = job.SheetOf(text, Wrap);
            if (Placement.Of(text, sheet) is not { } at) continue;
            var share = Share(text.Style.Paint.Resolve(job.Swatches), paper, take.Ground.Paint, job.Swatches);
            if (share == 0 || found++ >= Pattern.MostCalm) continue;
            var box = at.ToSheet.Of(new(0, 0, at.Box.Width.Points, at.Box.Height.Points));
            var front = (sheet.Panel(Part.Front)?.Face ?? sheet.Trim);
            decimal mm(double points) => Math.Round((decimal)(points * 25.4 / 72), 2);
            yield return new(mm(box.Left - front.X.Points), mm(box.Top - front.Y.Points), mm(box.Right - box.Left),
                mm(box.Bottom - box.Top), share);
        }
    }

    /// <summary>How far the paints must go, in percent; 0 where words can be read as it is.</summary>
    private static int Share(Ink words, Pattern paper, Paint? ground, IReadOnlyList<Swatch> swatches)
    {
        bool readable(int share) => paper.Paints.All(p =>
            Seen.Contrast(words, Mixing.Toward(p, ground, share / 100.0, swatches).Resolve(swatches)) >= Wanted);
        for (var share = 0; share < 95; share += 5) if (readable(share)) return share;
        return 95;
    }
}
