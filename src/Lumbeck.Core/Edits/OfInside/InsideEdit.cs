namespace Lumbeck.Core.Edits.OfInside;

/// <summary>An edit of the pages that are made here; the first makes them.</summary>
public abstract record InsideEdit : Edit
{
    protected abstract Inside On(Inside inside, Job job);

    protected override Job On(Job job) => job with { Inside = On(job.Inside ?? new(), job) };

    protected static Refusal Gone(string run) =>
        new($"run/{run}", "this run was removed in the meantime: undo to have it again");
}
