using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Running;
using Lumbeck.Web.Screens;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Lumbeck.Web.Pages;

/// <summary>A page of one job: its screen, made of the same parts that edits answer with.</summary>
public abstract class JobPage(Desk.AppServices desk, ScreenMaker screens, Place place) : PageModel
{
    public OnBench On { get; private set; } = null!;
    public Screen Screen { get; private set; } = null!;
    public string? Open { get; private set; }
    public int Sheet { get; private set; }
    /// <summary>The page of the inside that is shown.</summary>
    public int AtPage { get; private set; } = 1;
    /// <summary>A spot to have in view: x, y, width and height in points of the sheet.</summary>
    public string? Spot { get; private set; }
    public ComposedSheet Shown => On.Composed.Sheets[Sheet];
    public Place Place => place;
    protected Desk.AppServices Desk => desk;

    public virtual async Task<IActionResult> OnGetAsync(string slug, string? item, string? sheet)
    {
        On = desk.Jobs.Job(slug);
        Open = item is not null
            ? string.Join(',', item.Split(',').Where(id => place == Place.Inside ? On.Job.Inside?.Run(id) is not null
                : On.Job.Item(id) is not null)) is { Length: > 0 } some
            ? some
            : null
            : null;
        Sheet = Open is not null && place != Place.Inside
            ? On.Composed.SheetOf(Open.Split(',')[^1]).On.Number
            : On.Composed.Named(sheet).On.Number;
        Spot = Request.Query["spot"].ToString() is { Length: > 0 and < 60 } spot
            && spot.Split(' ') is { Length: 4 } four
            && four.All(f => double.TryParse(f, CultureInfo.InvariantCulture, out var n) && double.IsFinite(n))
            ? spot
            : null;
        AtPage = int.TryParse(sheet, CultureInfo.InvariantCulture, out var page)
            ? Math.Clamp(page, 1, On.Composed.Pages?.Printed ?? 2)
            : On.Composed.Pages is null ? 2
            : Open is not null
                && On.Composed.Pages?.Counted.Runs.FirstOrDefault(r => On.Job.Inside!.Runs[r.Run].Id == Open) is { } run
            ? Math.Max(1, run.First) : 1;
        Screen = await screens.Now(On, place,
            place == Place.Inside ? AtPage.ToString(CultureInfo.InvariantCulture) : Shown.On.Id, Open);
        Response.Headers.CacheControl = "no-store";
        return Page();
    }
}

public sealed class InsideModel(Desk.AppServices desk, ScreenMaker screens) : JobPage(desk, screens, Place.Inside);

public sealed class TicketModel(Desk.AppServices desk, ScreenMaker screens) : JobPage(desk, screens, Place.Ticket);

public sealed class WrapModel(Desk.AppServices desk, ScreenMaker screens) : JobPage(desk, screens, Place.Wrap)
{
    public IReadOnlyList<LiveryToWear> Liveries => Desk.Liveries.All();

    public static string Points(Length length) => length.Points.ToString(CultureInfo.InvariantCulture);

    /// <summary>Whether nothing lies on any of its sheets yet, nor on their grounds.</summary>
    public bool IsBare => On.Job.Wraps.All(w => w.Takes is [{ Items.IsEmpty: true, Ground: { Pattern: null } }]);
}

public sealed class CheckModel(Desk.AppServices desk, ScreenMaker screens) : JobPage(desk, screens, Place.Check);

public sealed class ColoursModel(Desk.AppServices desk, ScreenMaker screens) : JobPage(desk, screens, Place.Colours);

[RequestSizeLimit(MostBytes), RequestFormLimits(MultipartBodyLengthLimit = MostBytes)]
public sealed class PressModel(Desk.AppServices desk, ScreenMaker screens)
    : JobPage(desk, screens, Place.Press), ITellsRefusals
{
    /// <summary>Largest file from elsewhere, in bytes.</summary>
    public const long MostBytes = 1_010_000_000;

    /// <summary>The house that files are made for now.</summary>
    public House For { get; private set; } = null!;
    /// <summary>Every house that binds so, the ticket's own first.</summary>
    public IReadOnlyList<House> Houses { get; private set; } = [];
    /// <summary>The job as that house would print it, where it is another than the ticket's.</summary>
    public Composed? There { get; private set; }
    /// <summary>What reception said of a file from elsewhere, and what that is called.</summary>
    public Intake.Judging.Verdict? Verdict { get; private set; }
    public string Judged { get; private set; } = "";
    /// <summary>Files from elsewhere that were mended for this job.</summary>
    public IReadOnlyList<(Store.Shelves.MendedRow Row, MendedFile Said)> Mended { get; private set; } = [];

    /// <summary>When the page was written: what long work makes after it is not on it yet.</summary>
    public string Now { get; private set; } = "";

    /// <summary>What was decided of the last file of this kind.</summary>
    public Press.Import.MendChoices Decided(bool inside) => Desk.Pressing.Decided(On, inside);

    public override async Task<IActionResult> OnGetAsync(string slug, string? item, string? sheet)
    {
        Now = Desk.Pressing.Queue.Now();
        var result = await base.OnGetAsync(slug, item, sheet);
        if (result is NotFoundResult) return result;
        var t = On.Job.Ticket;
        Mended = Desk.Pressing.Mended(On);
        Houses = [t.House,
            .. Desk.Houses.All().Select(h => h.House).Where(h => h.Id != t.House.Id && h.Binds(t.Binding))];
        For = Houses.FirstOrDefault(h =>
            h.Id == (Request.HasFormContentType ? Request.Form["for"].ToString() : Request.Query["for"].ToString()))
            ?? t.House;
        if (For.Id == t.House.Id) return result;
        (There, var no) = Attempt.Of(() => Desk.Pressing.ForHouse(On, For));
        if (no is not null) (TempData["problem"], For) = ($"{For.Name}: {no.Message}", t.House);
        return result;
    }

    public IActionResult OnPost(string slug, string? kind,
        [Microsoft.AspNetCore.Mvc.FromForm(Name = "for")] string? house, bool outlines, bool rgb, bool zones,
        bool letter, string? panel, int? pixels, bool png, bool inside, string? pages)
    {
        var plan = PressPlan.Read(kind ?? "") with
        {
            Outlines = outlines,
            Rgb = rgb,
            Zones = zones,
            Letter = letter,
            Panel = Parts.TryParse(panel ?? "", out var part) ? part : Part.Sheet,
            EachPanel = panel == PressPlan.AllPanels,
            Png = png,
            Pixels = pixels ?? 0,
            Inside = inside,
            Pages = Range(pages),
        };
        // The wish for sRGB stands beside every kind a house takes, and is for a plain PDF alone.
        if (!plan.Kind.Wishes.HasFlag(Wishes.Rgb)) plan = plan with { Rgb = false };
        Desk.Pressing.PressBeside(Desk.Jobs.Job(slug), plan.Possible(), string.IsNullOrEmpty(house) ? null : house);
        return Pressed(slug, house);
    }

    private RedirectResult Pressed(string slug, string? house) => Redirect($"/jobs/{Uri.EscapeDataString(slug)}/press" +
        $"{(string.IsNullOrEmpty(house) ? "" : "?for=" + Uri.EscapeDataString(house))}");

    /// <summary>What can't be pressed is said beside what can, what can't be mended where files from elsewhere are.</summary>
    public ValueTask<IActionResult?> Tell(Refusal refusal, string handler)
    {
        if (refusal.Path == "job" || handler == "Intake") return default;
        var slug = (string)RouteData.Values["slug"]!;
        if (handler.Length == 0)
        {
            TempData["problem"] = refusal.Sentence();
            return new(Pressed(slug, ModelState["for"]?.AttemptedValue));
        }
        TempData["unmended"] = handler == "Mend" ? $"{Request.Form.Files[0].FileName}: {refusal.Message}."
            : refusal.Sentence();
        return new(Redirect($"/jobs/{Uri.EscapeDataString(slug)}/press#mended"));
    }

    /// <summary>Pages as they are typed: “2–5”, or one alone.</summary>
    private static (int, int) Range(string? typed)
    {
        if (string.IsNullOrWhiteSpace(typed)) return (1, 1);
        var ends = typed.Split('-', '–');
        return ends.Length is 1 or 2 && int.TryParse(ends[0], CultureInfo.InvariantCulture, out var first)
            && int.TryParse(ends[^1], CultureInfo.InvariantCulture, out var last)
            ? (first, last)
            : throw new Refusal("pages", $"`{LengthText.Clip(typed)}` is no page, and no range such as 2–5");
    }

    /// <summary>A finished file from elsewhere, made press-ready beside the page and kept with the job.</summary>
    public async Task<IActionResult> OnPostMendAsync(string slug, IFormFile? file, MendTyped typed)
    {
        var there = $"/jobs/{Uri.EscapeDataString(slug)}/press";
        if (file is null) return Redirect(there);
        var aside = Aside.FilePath();
        try
        {
            var on = Desk.Jobs.Job(slug);
            await using (var s = new FileStream(aside, FileMode.CreateNew)) await file.CopyToAsync(s,
                HttpContext.RequestAborted);
            var came = new CameFile(aside, Path.GetFileName(file.FileName.Replace('\\', '/')), typed.Inside,
                typed.Choices(on.Job.Ticket.Unit))
            { Password = typed.Password ?? "" };
            // A password is kept nowhere: what it opens is mended while its maker waits.
            if (came.Password.Length > 0)
                await Task.Run(() => Desk.Pressing.KeepMended(on, came, cancel: HttpContext.RequestAborted));
            else await Task.Run(() => Desk.Pressing.MendBeside(on, came));
        }
        finally { System.IO.File.Delete(aside); }
        return Redirect(there + "#mended");
    }

    /// <summary>A file that came is mended again, as its maker decided now.</summary>
    public async Task<IActionResult> OnPostAgainAsync(string slug, string? id, MendTyped typed)
    {
        var on = Desk.Jobs.Job(slug);
        if (Desk.Pressing.FindMended(on, id ?? "") is not { } row) return NotFound();
        var came = new CameFile(Desk.Pressing.Files.PathOf(row.Came), row.Name, row.Inside,
            typed.Choices(on.Job.Ticket.Unit));
        await Task.Run(() => Desk.Pressing.MendBeside(on, came));
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/press#mended");
    }

    /// <summary>The sheet that a mended cover lies on, and the room for marks about it in points; null for an inside.</summary>
    public static (Surface Sheet, double Room)? Over(OnBench on, Store.Shelves.MendedRow row) =>
        !row.Inside && on.Composed.Sheets is [{ Sheet: var sheet }]
            ? (sheet, Press.Import.PageSeen.Room(sheet, on.Job.Ticket.House)) : null;

    /// <summary>One page of a mended file, before and after.</summary>
    public IActionResult OnGetLook(string slug, string? id, int n)
    {
        var on = Desk.Jobs.Job(slug);
        return Desk.Pressing.Mended(on).FirstOrDefault(m => m.Row.Id == id) is { Row: not null } mended
            ? Partial("_MendLook", (slug, mended.Row, mended.Said, n, Over(on, mended.Row))) : NotFound();
    }

    /// <summary>Lays a mended cover as a take to work on.</summary>
    public async Task<IActionResult> OnPostLayAsync(string slug, string? id)
    {
        var on = Desk.Jobs.Job(slug);
        if (Desk.Pressing.FindMended(on, id ?? "") is not { } row) return NotFound();
        var laid = await Desk.Pressing.AsTake(on, row, $"take-{Guid.NewGuid():n}"[..13], HttpContext.RequestAborted);
        Desk.Jobs.Apply(slug, new(Guid.NewGuid().ToString(), "mended", _ => laid));
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/wrap");
    }

    /// <summary>Lets a mended file go.</summary>
    public IActionResult OnPostUnmend(string slug, string? id)
    {
        Desk.Pressing.RemoveMended(Desk.Jobs.Job(slug), id ?? "");
        return Redirect($"/jobs/{Uri.EscapeDataString(slug)}/press");
    }

    /// <summary>A finished file from elsewhere; it is looked at and not kept.</summary>
    public async Task<IActionResult> OnPostIntakeAsync(string slug, IFormFile? file, bool inside)
    {
        var result = await OnGetAsync(slug, null, null);
        if (result is NotFoundResult || file is null) return result;
        var aside = Aside.FilePath();
        try
        {
            await using (var s = new FileStream(aside, FileMode.CreateNew)) await file.CopyToAsync(s);
            Judged = Path.GetFileName(file.FileName.Replace('\\', '/')) is { Length: > 0 } name
                ? name.Length > 80
                ? name[..80]
                : name
                : "This file";
            Verdict = await Task.Run(() =>
                Desk.Pressing.Judge(On, aside, For.Id == On.Job.Ticket.House.Id ? null : For, inside));
        }
        finally { System.IO.File.Delete(aside); }
        return result;
    }
}
