using Lumbeck.Store;

namespace Lumbeck.Desk.Jobs;

/// <summary>One step of a job's history.</summary>
/// <param name="Row">What was done, and when.</param>
/// <param name="Here">Whether the bench shows it.</param>
/// <param name="Led">Whether it led to what the bench shows; a step that was taken back did not.</param>
public sealed record Step(StepRow Row, bool Here, bool Led);

/// <summary>A job's steps: what was done, which were given names, and bringing any of them back.</summary>
public static class History
{
    public const int Page = 48;

    /// <summary>Steps, the newest first.</summary>
    /// <exception cref="Refusal">There is no such job.</exception>
    public static IReadOnlyList<Step> StepList(this JobDesk jobs, OnBench on, long? before = null, bool named = false)
    {
        var led = jobs.Store.Line(on.Revision);
        return [.. jobs.Store.Steps(on.JobId, before, Page, named)
            .Select(r => new Step(r, r.Revision == on.Revision, led.Contains(r.Revision)))];
    }

    /// <summary>A job as it was at a revision of its own.</summary>
    /// <exception cref="Refusal">It has no such revision.</exception>
    public static Composed Revision(this JobDesk jobs, string slug, long revision) =>
        jobs.Store.JobOf(revision) == jobs.Row(slug).Id
            ? jobs.Compose(revision)
            : throw new Refusal("history", "this job has no such step");

    /// <summary>What the step that made this revision did, in words.</summary>
    public static string Says(this JobDesk jobs, OnBench on) => jobs.Store.Revision(on.Revision).Says;

    /// <summary>A sheet as another take of its wrap has it.</summary>
    /// <exception cref="Refusal">The wrap has no such take.</exception>
    public static Scene OfTake(this JobDesk jobs, Composed shown, PrintedSheet on, string take)
    {
        var wrap = shown.Job.Wraps[on.Wrap];
        if (wrap.Find(take) is null) throw new Refusal("takes", "this wrap has no such take");
        return SceneBuilder.Build(shown.Job with
        {
            Wraps = shown.Job.Wraps.SetItem(on.Wrap,
            wrap with { Current = take })
        },
            on, jobs.Drawer.Shelf, jobs.Drawer.DrawingsOf(shown.Job.Ticket.House));
    }

    /// <summary>The edit that brings a revision back.</summary>
    /// <exception cref="Refusal">The job has no such revision.</exception>
    public static Edit BringBack(this JobDesk jobs, string slug, long revision) =>
        new BringBack(revision) { State = jobs.Revision(slug, revision).Job };

    /// <summary>Gives a revision a name, or takes it away where blank.</summary>
    /// <exception cref="Refusal">The job has no such revision, or the name is too long.</exception>
    public static void NameStep(this JobDesk jobs, string slug, long revision, string name)
    {
        var row = jobs.Row(slug);
        if (jobs.Store.JobOf(revision) != row.Id) throw new Refusal("history", "this job has no such step");
        var line = name.ReplaceLineEndings(" ").Trim();
        if (line.Length > NameItem.Most)
            throw new Refusal("history", $"a name of {line.Length} letters is too long: up to {NameItem.Most}");
        jobs.Store.Write(w => { w.Name(row.Id, revision, line); return 0; });
    }
}
