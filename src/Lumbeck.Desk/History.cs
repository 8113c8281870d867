using Lumbeck.Store;

namespace Lumbeck.Desk;

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
    public static IReadOnlyList<Step> StepList(this Desk desk, OnBench on, long? before = null, bool named = false)
    {
        var led = desk.Store.Line(on.Revision);
        return [.. desk.Store.Steps(on.JobId, before, Page, named).Select(r => new Step(r, r.Revision == on.Revision, led.Contains(r.Revision)))];
    }

    /// <summary>A job as it was at a revision of its own.</summary>
    /// <exception cref="Refusal">It has no such revision.</exception>
    public static Composed Revision(this Desk desk, string slug, long revision) =>
        desk.Store.JobOf(revision) == desk.Row(slug).Id ? desk.Compose(revision) : throw new Refusal("steps", "this job has no such step");

    /// <summary>What the step that made this revision did, in words.</summary>
    public static string Says(this Desk desk, OnBench on) => desk.Store.Revision(on.Revision).Says;

    /// <summary>A sheet as another take of its wrap has it.</summary>
    /// <exception cref="Refusal">The wrap has no such take.</exception>
    public static Scene OfTake(this Desk desk, Composed shown, PrintedSheet on, string take)
    {
        var wrap = shown.Job.Wraps[on.Wrap];
        if (wrap.Find(take) is null) throw new Refusal("takes", "this wrap has no such take");
        return SceneBuilder.Build(shown.Job with { Wraps = shown.Job.Wraps.SetItem(on.Wrap, wrap with { Current = take }) }, on, desk.Shelf, desk.DrawingsOf(shown.Job.Ticket.House));
    }

    /// <summary>The edit that brings a revision back.</summary>
    /// <exception cref="Refusal">The job has no such revision.</exception>
    public static Edit BringBack(this Desk desk, string slug, long revision) =>
        new BringBack(revision) { State = desk.Revision(slug, revision).Job };

    /// <summary>Gives a revision a name, or takes it away where blank.</summary>
    /// <exception cref="Refusal">The job has no such revision, or the name is too long.</exception>
    public static void NameStep(this Desk desk, string slug, long revision, string name)
    {
        var row = desk.Row(slug);
        if (desk.Store.JobOf(revision) != row.Id) throw new Refusal("steps", "this job has no such step");
        var line = name.ReplaceLineEndings(" ").Trim();
        if (line.Length > NameItem.Most) throw new Refusal("steps", $"a name of {line.Length} letters is too long: up to {NameItem.Most}");
        desk.Store.Write(w => { w.Name(row.Id, revision, line); return 0; });
    }
}
