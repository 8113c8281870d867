namespace Lumbeck.Core.Edits;

/// <summary>
/// One change to a job, as a value. Browser, command line and tests all come through <see cref="Apply"/>.
/// An edit is added by adding a record, and its word to the list of <see cref="Doors.EditJson"/>.
/// </summary>
public abstract record Edit
{
    /// <summary>What was done, for a list of steps: “pages”, “words of Title”.</summary>
    public abstract string Says(Job before);

    protected abstract Job On(Job job);

    /// <summary>The one door: the job after this edit, or a refusal with the job untouched.</summary>
    /// <exception cref="Refusal">What was asked can't be made; the fact is named.</exception>
    public Job Apply(Job job)
    {
        var after = On(job).WithPagesCounted(job);
        // A sheet that can't be made is refused here, whichever fact it was that spoilt it.
        if (ReferenceEquals(after.Ticket, job.Ticket)) return after;
        _ = after.Sheets();
        return after.WithPieces();
    }
}
