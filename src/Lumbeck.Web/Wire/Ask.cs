using System.Text.Json.Serialization;

namespace Lumbeck.Web.Wire;

/// <summary>What an asking is made into an edit with.</summary>
/// <param name="Job">The job as it is.</param>
/// <param name="Desk">The desk.</param>
/// <param name="Slug">The job's address.</param>
/// <param name="Wrap">The wrap that is shown.</param>
public sealed record Asking(Job Job, Desk.AppServices Desk, string Slug, int Wrap)
{
    /// <summary>From the middle of an item's box to the middle of what is drawn in it, as the sheet lies.</summary>
    public (Length Right, Length Down) Drawn(string id)
    {
        // A drawing of another state of the job tells nothing of this one.
        var on = Desk.Jobs.Job(Slug);
        if (Job.Item(id) is not TextItem { Turned: 0 } item || !ReferenceEquals(on.Job.Item(id), item)) return default;
        return on.Composed.Sheets.Select(s => s.Scene.Item(id)).FirstOrDefault(d => d is not null)?.OffMiddle ?? default;
    }

    /// <param name="job">The job.</param>
    /// <param name="desk">The desk.</param>
    /// <param name="slug">The job's address.</param>
    /// <param name="sheet">The id of the sheet that is shown; the first where it is empty.</param>
    /// <exception cref="Refusal">The job has no such sheet, or no longer.</exception>
    public static Asking Of(Job job, Desk.AppServices desk, string slug, string? sheet) =>
        new(job, desk, slug, WrapOf(job, sheet));

    /// <summary>The wrap that a sheet carries.</summary>
    /// <exception cref="Refusal">The job has no such sheet, or no longer.</exception>
    public static int WrapOf(Job job, string? sheet)
    {
        var sheets = job.Sheets();
        if (string.IsNullOrEmpty(sheet)) return sheets[0].Wrap;
        // A binding may print a wrap on other sheets than it did.
        return sheets.FirstOrDefault(s => job.Wraps[s.Wrap].Name == sheet.Split('-')[0])?.Wrap
            ?? throw new Refusal("sheet",
                $"this binding prints no {LengthText.Clip(sheet)} any more: open the wrap again");
    }
}

/// <summary>
/// One thing that a browser asks for. Rules are Core's; this says in Core's words what was meant. An asking is added by
/// adding a record and its word here:
/// the client's types are written from these.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(WriteFact), "write")]
[JsonDerivedType(typeof(WriteEach), "write-each")]
[JsonDerivedType(typeof(SpanWords), "span-words")]
[JsonDerivedType(typeof(AddNew), "add")]
[JsonDerivedType(typeof(AddKept), "add-kept")]
[JsonDerivedType(typeof(LayMotif), "lay-motif")]
[JsonDerivedType(typeof(MoveGroundPattern), "move-paper")]
[JsonDerivedType(typeof(CalmAgain), "calm-again")]
[JsonDerivedType(typeof(WearLivery), "wear-livery")]
[JsonDerivedType(typeof(PutTicketPicture), "put-ticket-picture")]
[JsonDerivedType(typeof(SetLiveryAgain), "set-livery-again")]
[JsonDerivedType(typeof(FromBeside), "from-beside")]
[JsonDerivedType(typeof(AddWords), "add-words")]
[JsonDerivedType(typeof(AddNewSwatch), "add-swatch")]
[JsonDerivedType(typeof(TakePalette), "palette")]
[JsonDerivedType(typeof(AddHarmony), "harmony")]
[JsonDerivedType(typeof(DropSwatch), "remove-swatch")]
[JsonDerivedType(typeof(TakeOver), "take-over")]
[JsonDerivedType(typeof(LookAt), "looked")]
[JsonDerivedType(typeof(BeginTake), "new-take")]
[JsonDerivedType(typeof(ShowTake), "choose-take")]
[JsonDerivedType(typeof(Paste), "paste")]
[JsonDerivedType(typeof(Arrange), "arrange")]
[JsonDerivedType(typeof(Swap), "swap-covers")]
[JsonDerivedType(typeof(LayByHand), "lay")]
[JsonDerivedType(typeof(Carry), "carry")]
[JsonDerivedType(typeof(Push), "push")]
[JsonDerivedType(typeof(Remove), "remove")]
[JsonDerivedType(typeof(Order), "order")]
[JsonDerivedType(typeof(NudgeBy), "nudge")]
[JsonDerivedType(typeof(AddNewRun), "add-run")]
[JsonDerivedType(typeof(DropRun), "drop-run")]
[JsonDerivedType(typeof(ShiftRun), "shift-run")]
[JsonDerivedType(typeof(DuplicateRunAsked), "double-run")]
[JsonDerivedType(typeof(PutDesign), "put-design")]
[JsonDerivedType(typeof(BeginReady), "begin-inside")]
[JsonDerivedType(typeof(PutRunsBy), "put-runs-by")]
[JsonDerivedType(typeof(HangPage), "hang-page")]
[JsonDerivedType(typeof(BackPages), "back-pages")]
[JsonDerivedType(typeof(LayRows), "lay-rows")]
[JsonDerivedType(typeof(LayNotes), "lay-notes")]
[JsonDerivedType(typeof(Waive), "waive")]
[JsonDerivedType(typeof(MendFinding), "mend")]
[JsonDerivedType(typeof(UndoOrRedo), "step")]
public record Ask
{
    /// <summary>The edit that is meant; an asking that does not say what it is means none.</summary>
    /// <exception cref="Refusal">What was sent says nothing that can be done.</exception>
    public virtual Edit Make(Asking at) => throw No("nothing to change was named");

    protected static Refusal No(string why) => new("edit", why);

    /// <exception cref="Refusal">None or too many items are named.</exception>
    protected static T[] Some<T>(T[]? items) =>
        items is { Length: > 0 and <= AddItem.Most } && items.All(i => i is not null)
            ? items
            : throw No($"from one to {AddItem.Most} items can be changed at once");

    protected static Part PanelOf(string? name) =>
        Parts.TryParse(name ?? "", out var part) ? part : throw No("no such panel");

    /// <summary>A length that a hand has drawn, in points.</summary>
    protected static Length Points(string item, double points) => double.IsFinite(points) && Math.Abs(points) < 1e5
        ? Length.FromDrawing(points)
        : throw new Refusal($"item/{item}", "it can’t be carried so far");
}

/// <summary>Back or forward through the steps.</summary>
public enum Way { Back, Forward }

/// <summary>Steps back or forward; no edit.</summary>
public sealed record UndoOrRedo(Way Way) : Ask
{
    public override Edit Make(Asking at) => throw No("a step can’t be tried");
}

/// <summary>Mends a finding by its key, or all that can be for certain.</summary>
public sealed record MendFinding(string Finding) : Ask
{
    public override Edit Make(Asking at) => at.Desk.Jobs.Mend(at.Slug, Finding);
}

/// <summary>Goes without a rule for a reason, or with none looks at it again.</summary>
public sealed record Waive(string Rule, string Reason) : Ask
{
    public override Edit Make(Asking at) => new WaiveRule(Rule, Reason);
}

/// <summary>Takes over what lies beside the ticket.</summary>
public sealed record TakeOver(Beside What) : Ask
{
    public override Edit Make(Asking at) => What switch
    {
        Beside.Inside => new TakeInside(),
        Beside.InsidePages => new TakeInside(Trim: false),
        Beside.InsideTrim => new TakeInside(Pages: false),
        Beside.NoInside => new LayInside(null),
        _ => new SetHouse(at.Desk.Houses.Get(at.Job.Ticket.House.Id).House),
    };
}

/// <summary>The inside's pages and trim, one of them, none of it, or the house's new rules.</summary>
public enum Beside { Inside, InsidePages, InsideTrim, NoInside, Rules }

/// <summary>An item that was looked at since the sheet changed, or all of them.</summary>
public sealed record LookAt(string? Item = null) : Ask
{
    public override Edit Make(Asking at) => new MarkReviewed(Item);
}

/// <summary>Begins a take of the shown wrap; named by number where no name is given.</summary>
public sealed record BeginTake(string? Name = null) : Ask
{
    public override Edit Make(Asking at)
    {
        var takes = at.Job.Wraps[at.Wrap].Takes;
        // Never an earlier take's id: a page that still shows that one would mean this.
        return new AddTake(at.Wrap, "take-" + Guid.NewGuid().ToString("n")[..8],
            string.IsNullOrWhiteSpace(Name)
                ? Free.Numbered("Take", n => takes.Any(t => t.Name == n), takes.Count + 1)
                : Name);
    }
}

/// <summary>Shows another take of the shown wrap.</summary>
public sealed record ShowTake(string Take) : Ask
{
    public override Edit Make(Asking at) => new ChooseTake(at.Wrap, Take);
}
