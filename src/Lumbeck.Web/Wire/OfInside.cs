namespace Lumbeck.Web.Wire;

/// <summary>Adds a run of a design, after another or at the end; what ends a book stays its end.</summary>
public sealed record AddNewRun(string Run, string Design, string? After = null) : Ask
{
    public override Edit Make(Asking at)
    {
        var runs = at.Job.Inside?.Runs ?? [];
        var place = After is null ? -1 : runs.FindIndex(r => r.Id == After);
        var run = ReadyInsides.First(Run, Design, at.Job.PagesLanguage);
        var end = runs.FindLastIndex(r => !r.EndsBook) + 1;
        return new AddRun(run, run.EndsBook ? runs.Count : place < 0 || place >= end ? end : place + 1);
    }
}

/// <summary>Takes a run out.</summary>
public sealed record DropRun(string Run) : Ask
{
    public override Edit Make(Asking at) => new RemoveRun(Run);
}

/// <summary>Moves a run up or down.</summary>
public sealed record ShiftRun(string Run, int By) : Ask
{
    public override Edit Make(Asking at) => new MoveRun(Run, Math.Clamp(By, -Inside.MostRuns, Inside.MostRuns));
}

/// <summary>Doubles a run.</summary>
public sealed record DuplicateRunAsked(string Run, string New) : Ask
{
    public override Edit Make(Asking at) => new DuplicateRun(Run, New);
}

/// <summary>Puts a design beside a run’s others; none takes the one of that place out.</summary>
public sealed record PutDesign(string Run, int Place, string? Design = null) : Ask
{
    public override Edit Make(Asking at) => new SetDesign(Run, Place, Design is null ? null
        : PrintedWords.In(DesignShelf.Of(Design), at.Job.PagesLanguage));
}

/// <summary>Begins with ready runs.</summary>
public sealed record BeginReady(string Name) : Ask
{
    public override Edit Make(Asking at) => ReadyInsides.Begin(Name, at.Desk.PlanningYear, at.Job);
}

/// <summary>Puts the runs by for the file, or takes them up again.</summary>
public sealed record PutRunsBy(bool By) : Ask
{
    public override Edit Make(Asking at) => new PutInsideBy(By);
}

/// <summary>Hangs a picture of the Drawer on a page; none takes it off.</summary>
public sealed record HangPage(string Run, int Place, string? Hash = null) : Ask
{
    public override Edit Make(Asking at) => new HangOnPage(Run, Place, Hash is null ? null
        : at.Desk.Drawer.Pictures.Kept(Hash)
            ?? throw new Refusal($"run/{Run}", "this picture is not in the drawer any more"));
}

/// <summary>Lays a picture of the Drawer behind a run’s pages; none takes it away.</summary>
public sealed record BackPages(string Run, string? Hash = null) : Ask
{
    public override Edit Make(Asking at) => new LayBehind(Run, Hash is null ? null
        : at.Desk.Drawer.Pictures.Kept(Hash)
            ?? throw new Refusal($"run/{Run}", "this picture is not in the drawer any more"));
}

/// <summary>Prints a table’s dated notes in the calendars; none takes them off.</summary>
public sealed record LayNotes(string? Hash = null) : Ask
{
    public override Edit Make(Asking at)
    {
        var inside = at.Job.Inside ?? new();
        var notes = Hash is null ? null : at.Desk.Drawer.Tables.Kept(Hash)
            ?? throw new Refusal("inside/notes", "this table is not in the drawer any more");
        return new SetInside(inside with { Calendar = inside.Calendar with { Notes = notes } }, "dated notes");
    }
}

/// <summary>Makes a run’s pages of a table’s rows.</summary>
public sealed record LayRows(string Run, string Hash) : Ask
{
    public override Edit Make(Asking at) => new LayTable(Run,
        at.Desk.Drawer.Tables.Kept(Hash)
            ?? throw new Refusal($"run/{Run}", "this table is not in the drawer any more"));
}
