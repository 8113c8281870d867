namespace Lumbeck.Core.Edits.Doors;

/// <summary>
/// From an edit to the job that is kept: the edit, what follows what it changed, the pages that its runs need, and what a
/// cover keeps right by itself.
/// There is no other way from one to the other, so what is tried is what is saved.
/// </summary>
public static class EditPipeline
{
    /// <summary>The job after an edit, as it would be kept.</summary>
    /// <exception cref="Refusal">What was asked can’t be made; the fact is named.</exception>
    /// <param name="edit">The edit.</param>
    /// <param name="job">The job before it.</param>
    /// <param name="type">Faces.</param>
    /// <param name="tables">Tables that pages are made from.</param>
    /// <param name="follows">Has a design follow what the ticket knows since; null where none does.</param>
    public static Job Run(Edit edit, Job job, IType type, ITables? tables = null, Func<Job, Job, Job>? follows = null)
    {
        var next = Origins.Follow(job, edit.Apply(job));
        if (follows is not null && edit is not BringBack && Origins.KnowsMore(job.Ticket, next.Ticket))
            next = follows(job, next);
        if (edit is not BringBack) next = PagesLanguage.Follow(job, next);
        // Pages are counted anew where something was changed that they follow from.
        if (!ReferenceEquals(next.Inside, job.Inside) || !ReferenceEquals(next.Ticket, job.Ticket)
            || !ReferenceEquals(next.Swatches, job.Swatches))
            next = Pagination.Of(next, type, tables);
        // Last, as the spine follows from the pages.
        return PostEditFixups.Of(next, type);
    }

    /// <summary>A job that came about otherwise, as it would be kept: one that is begun, or came in a pack.</summary>
    /// <exception cref="Refusal">Its runs are more than a volume has.</exception>
    public static Job Settle(Job job, IType type, ITables? tables = null) =>
        PostEditFixups.Of(Pagination.Of(job, type, tables), type);
}
