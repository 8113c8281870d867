namespace Lumbeck.Core.Edits.OfInside;

/// <summary>An edit of one run.</summary>
public abstract record RunEdit : InsideEdit
{
    public abstract string Run { get; init; }

    protected abstract PageRun On(PageRun run, Job job);

    protected override Inside On(Inside inside, Job job)
    {
        var run = inside.Run(Run) ?? throw Gone(Run);
        var next = On(run, job);
        return next.IsSound ? inside with { Runs = inside.Runs.Replace(run, next) }
            : throw new Refusal($"run/{Run}", "a run can’t be so");
    }

    public override string Says(Job before) => $"{Fact} of {before.Inside?.Run(Run)?.Says ?? "a run"}";

    protected abstract string Fact { get; }
}

/// <summary>Adds a run at a place among the others; at the end where that is null.</summary>
public sealed record AddRun(PageRun New, int? At = null) : InsideEdit
{
    public override string Says(Job before) => $"run {New.Says}";

    protected override Inside On(Inside inside, Job job)
    {
        if (!New.IsSound || inside.Run(New.Id) is not null)
            throw new Refusal("run", "this run can’t be added: take another name for it");
        if (inside.Runs.Count >= Inside.MostRuns)
            throw new Refusal("run", $"an inside has {Inside.MostRuns} runs at most: take some out first");
        if (New.Goes == RunKind.Rest && inside.Runs.FirstOrDefault(r => r.Goes == RunKind.Rest) is { } other)
            throw new Refusal("run", $"{other.Says} takes the rest already: only one run can");
        return inside with
        {
            Runs = inside.Runs.Insert(Math.Clamp(At ?? inside.Runs.Count, 0, inside.Runs.Count), New),
            PutBy = false,
        };
    }
}

public sealed record RemoveRun(string Run) : InsideEdit
{
    public override string Says(Job before) => $"take out {before.Inside?.Run(Run)?.Says}";

    protected override Inside On(Inside inside, Job job) =>
        inside with { Runs = inside.Runs.Remove(inside.Run(Run) ?? throw Gone(Run)) };
}

/// <summary>Moves a run so many places up or down.</summary>
public sealed record MoveRun(string Run, int By) : InsideEdit
{
    public override string Says(Job before) => $"order of {before.Inside?.Run(Run)?.Says}";

    protected override Inside On(Inside inside, Job job)
    {
        var run = inside.Run(Run) ?? throw Gone(Run);
        var at = inside.Runs.IndexOf(run);
        var to = Math.Clamp(at + By, 0, inside.Runs.Count - 1);
        return inside with { Runs = inside.Runs.RemoveAt(at).Insert(to, run) };
    }
}

/// <summary>A duplicate of a run, after it.</summary>
public sealed record DuplicateRun(string Run, string New) : InsideEdit
{
    public override string Says(Job before) => $"duplicate of {before.Inside?.Run(Run)?.Says}";

    protected override Inside On(Inside inside, Job job)
    {
        var run = inside.Run(Run) ?? throw Gone(Run);
        var copy = run with { Id = New, Goes = run.Goes == RunKind.Rest ? RunKind.Pages : run.Goes };
        return !copy.IsSound || inside.Run(New) is not null ? throw new Refusal("run", "this run can’t be duplicated so")
            : inside with { Runs = inside.Runs.Insert(inside.Runs.IndexOf(run) + 1, copy) };
    }
}

/// <summary>A run as it is to be: how far it goes, where it begins, its backs, its margins.</summary>
public sealed record ChangeRun(PageRun New, string What) : RunEdit
{
    public override string Run { get => New.Id; init { } }
    protected override string Fact => What;

    protected override PageRun On(PageRun run, Job job)
    {
        if (New.Goes == RunKind.Rest
            && job.Inside!.Runs.FirstOrDefault(r => r.Goes == RunKind.Rest && r.Id != New.Id) is { } other)
            throw new Refusal($"run/{New.Id}/goes", $"{other.Says} takes the rest already: only one run can");
        return New;
    }
}

/// <summary>A setting of one of a run’s designs.</summary>
public sealed record SetDesignField(string Run, int Design, string Field, FieldValue Value) : RunEdit
{
    public override string Run { get; init; } = Run;
    protected override string Fact => Field;

    protected override PageRun On(PageRun run, Job job)
    {
        if (Design < 0 || Design >= run.Designs.Count) throw Gone(Run);
        var design = run.Designs[Design].With(Field, Value, $"run/{Run}/{Design + 1}-{Field}");
        return run with { Designs = run.Designs.SetItem(Design, design) };
    }
}

/// <summary>Puts a design in the place of one of a run’s, beside them, or takes one out (null).</summary>
public sealed record SetDesign(string Run, int Design, PageDesign? New = null) : RunEdit
{
    public override string Run { get; init; } = Run;
    protected override string Fact => "design";

    protected override PageRun On(PageRun run, Job job)
    {
        if (Design < 0 || Design > run.Designs.Count) throw Gone(Run);
        if (New is null)
            return run.Designs.Count == 1 || Design == run.Designs.Count
                ? throw new Refusal($"run/{Run}/design", "a run needs a design: take the whole run out")
                : run with { Designs = run.Designs.RemoveAt(Design) };
        if (Design == run.Designs.Count && run.Designs.Count >= (run.Goes == RunKind.Spreads ? 2 : PageRun.MostDesigns))
            throw new Refusal($"run/{Run}/design",
                $"a run has {(run.Goes == RunKind.Spreads ? 2 : PageRun.MostDesigns)} designs at most");
        return run with
        {
            Designs = Design == run.Designs.Count ? run.Designs.Add(New) : run.Designs.SetItem(Design, New),
        };
    }
}

/// <summary>Hangs a picture on a page, or takes it off.</summary>
public sealed record HangOnPage(string Run, int Design, Picture? Picture = null) : RunEdit
{
    public override string Run { get; init; } = Run;
    protected override string Fact => "picture";

    protected override PageRun On(PageRun run, Job job)
    {
        if (Design < 0 || Design >= run.Designs.Count) throw Gone(Run);
        PageDesign hung = run.Designs[Design] switch
        {
            PicturePage p => p with { Picture = Picture },
            PictureWithWords p => p with { Picture = Picture },
            var other => throw new Refusal($"run/{Run}/picture", $"{other.Kind} shows no picture"),
        };
        return run with { Designs = run.Designs.SetItem(Design, hung) };
    }
}

/// <summary>Lays a picture behind a run’s pages, or takes it away.</summary>
public sealed record LayBehind(string Run, Picture? Picture = null) : RunEdit
{
    public override string Run { get; init; } = Run;
    protected override string Fact => "picture behind the pages";

    protected override PageRun On(PageRun run, Job job) => run with
    {
        Backdrop = Picture is null ? null : run.Backdrop is { } had ? had with { Picture = Picture } : new(Picture),
    };
}

/// <summary>Makes a run’s pages of a table’s rows.</summary>
public sealed record LayTable(string Run, TableRef Table) : RunEdit
{
    public override string Run { get; init; } = Run;
    protected override string Fact => "table";

    protected override PageRun On(PageRun run, Job job) => Table.Rows is < 1 or > Inside.MostPages
        ? throw new Refusal($"run/{Run}/table",
            $"{Table.Name} has {Table.Rows} rows: from 1 to {Inside.MostPages} make pages")
        : run with { Table = Table, Goes = RunKind.Rows };
}
