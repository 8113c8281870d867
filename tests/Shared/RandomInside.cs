namespace Lumbeck.Tests.ByChance;

/// <summary>
/// Edits of pages by chance: of runs that are there, or of some that come; and runs for a whole inside.
/// </summary>
public static class RandomInside
{
    private static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    /// <summary>A run of any design, in the job's paints where it has some.</summary>
    public static PageRun Run(Job job, Chance r, string id)
    {
        PageDesign design() => r.Of([.. DesignShelf.All]).First is var first && job.Swatches.Count > 0 && r.One(3)
            ? first with
            {
                Paints = [.. first.Paints.Select(_ =>
                    (Paint)new SwatchPaint(r.Of([.. job.Swatches]).Id, 100 * r.From(10, 100)))],
            }
            : first;
        var goes = r.Of(RunKind.Pages, RunKind.Pages, RunKind.Spreads, RunKind.Sets, RunKind.Days, RunKind.Weeks,
            RunKind.Months);
        return new()
        {
            Id = id,
            Designs = [.. Enumerable.Range(0, goes is RunKind.Pages ? 1 : 2).Select(_ => design())],
            Goes = goes,
            Count = r.From(1, 9),
            From = new(2026, r.From(1, 12), r.From(1, 28)),
            To = new(2027, 1, r.From(1, 28)),
            Begins = r.Of(Enum.GetValues<BeginsOn>()),
            Backs = r.One(4) ? r.Of(Enum.GetValues<Backs>()) : Backs.Pages,
            BackNote = "a back",
            Tab = r.One(4),
            Margins = r.One(4) ? new(Mm(r.From(8, 20)), null, Mm(r.From(8, 20))) : null,
            Behind = r.One(5)
                ? new(new InkPaint(Ink.Percent(0, r.From(0, 40), r.From(0, 40), r.From(0, 30))),
                    r.One(2) ? r.Of([.. PatternShelf.Kinds]) : null)
                : null,
        };
    }

    public static Edit One(Job job, Chance r, int made)
    {
        var runs = job.Inside?.Runs ?? [];
        if (runs.IsEmpty || r.One(4))
            return new AddRun(Run(job, r, $"run-{made}"), r.One(2) ? r.From(0, runs.Count) : null);
        var run = r.Of([.. runs]);
        return r.From(0, 10) switch
        {
            0 => new RemoveRun(run.Id),
            1 => new MoveRun(run.Id, r.From(-3, 3)),
            2 => new DuplicateRun(run.Id, $"copy-{made}"),
            3 => new SetDesign(run.Id, r.From(0, run.Designs.Count), r.Of([.. DesignShelf.All]).First),
            4 => new SetDesign(run.Id, r.From(0, run.Designs.Count - 1)),
            5 => new PutInsideBy(r.One(2)),
            6 => new SetInside(job.Inside! with
            {
                Fixed = r.One(2) ? null : r.From(20, 300),
                Bleeds = r.One(2),
                Folio = job.Inside.Folio with { Place = r.Of(Enum.GetValues<FolioPlace>()), First = r.From(0, 9) },
                Margins = new(Mm(r.From(5, 20)), Mm(r.From(5, 20)), Mm(r.From(5, 20)),
                    r.One(2) ? null : Mm(r.From(5, 25))),
            }, "pages"),
            7 or 8 => r.Of([.. RunFacts.Of(job, run.Id)]) is var fact && fact.Choices(job) is { Count: > 0 } choices
                && choices[0].Text != "pages"
                ? Typed(job, fact.Path, r.Of([.. choices]).Text)
                : Typed(job, $"run/{run.Id}/count", $"{r.From(1, 20)}"),
            9 => new SetDesignField(run.Id, 0, "heading", new(Words: r.Of("", "Day {n}", "{title}", "{nobody}"))),
            _ =>
                new ChangeRun(run with
                {
                    Folio = r.One(2),
                    Tab = r.One(2),
                    Name = r.Of("", "Named"),
                    Begins = r.Of(Enum.GetValues<BeginsOn>())
                },
                    "run"),
        };
    }

    /// <summary>What is typed, or else the same run again where it can't be.</summary>
    private static Edit Typed(Job job, string path, string text)
    {
        try { return Facts.Write(job, path, text); }
        catch (Refusal) { return new MoveRun(path.Split('/')[1], 0); }
    }
}
