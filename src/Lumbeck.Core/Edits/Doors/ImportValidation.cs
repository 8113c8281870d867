using System.Text.Json;

namespace Lumbeck.Core.Edits.Doors;

/// <summary>
/// Makes an item that came from elsewhere one that could have been made here: every figure within the range its own
/// edit would give it.
/// </summary>
public static class ImportValidation
{
    private static readonly Length Far = Length.FromMillimetres(5000);

    /// <param name="item">The item.</param>
    /// <param name="swatch">The id here of a swatch it names; null where there is none.</param>
    /// <exception cref="Refusal">A figure is out of all range.</exception>
    public static Item Item(Item item, Func<string, string?> swatch)
    {
        Paint? paint(Paint? p) => p switch
        {
            SwatchPaint s => swatch(s.Swatch) is { } id && s.Tint is >= 0 and <= 10_000
                ? s with { Swatch = id }
                : new InkPaint(Ink.Black),
            FinishPaint f when f.Finish is not { Length: > 0 and <= 40 }
                || f.Tint is < 0 or > 10_000 => throw No("a finishing ink"),
            GradientPaint g when g.Stops is not { Count: >= 2 and <= GradientPaint.MostStops }
                || g.Angle is < 0 or >= 360 || !Enum.IsDefined(g.Run)
                || g.Stops.Any(x =>
                    x?.Paint is not (InkPaint or SwatchPaint) || x.At is < 0 or > 10_000) => throw No("a gradient"),
            GradientPaint g => g with { Stops = [.. g.Stops.Select(x => x with { Paint = paint(x.Paint)! })] },
            InkPaint { Ink: var i } when i.C is < 0 or > 10_000 || i.M is < 0 or > 10_000 || i.Y is < 0 or > 10_000
                || i.K is < 0 or > 10_000 => throw No("an ink"),
            _ => p,
        };
        if (!Enum.IsDefined(item.Hold.Panel) || !Enum.IsDefined(item.Hold.Box) || !Enum.IsDefined(item.Hold.Anchor)
            || !Enum.IsDefined(item.Blend))
            throw No("where it hangs");
        if (new[] { item.Hold.Dx, item.Hold.Dy, item.Width.Own, item.Height.Own }.Any(l => Length.Abs(l) > Far)
            || item.Width.Share is < 0 or > 10 || item.Height.Share is < 0 or > 10)
            throw No("a length");
        if (item.Opacity is < 0 or > 100) throw No("its opacity");
        if (item.Laid is { } laid && (laid.Part is null or { Length: > 60 } || laid.Figures is null or { Length: > 64 }
            || laid.Words is null or { Length: > 64 }))
            throw No("what laid it");
        if (item.From is { } from && (from.Count is 0 or > Origin.Most
            || from.Any(o => o.Key.Length is 0 or > Origin.Longest || o.Value.Of is null or { Length: > Origin.Longest })))
            throw No("where its values come from");
        if (item.Unsound is { } what) throw No(what);
        item = item with
        {
            Turned = ((item.Turned % 360) + 360) % 360,
            Name = Plain.Line(item.Name) is { Length: <= NameItem.Most } n ? n : "",
        };
        return item.Painted(paint) is TextItem t ? t with { Words = Plain.Text(t.Words) } : item.Painted(paint);
    }

    /// <summary>
    /// Looks a job over that came from elsewhere: everything in it must be what its own edits could have made of it.
    /// </summary>
    /// <exception cref="Refusal">Something is not.</exception>
    public static void Job(Job job)
    {
        if (job.Ticket is null || job.Swatches is null || job.Wraps is null or { Count: 0 or > 4 } || job.Looks is null)
            throw No("its parts");
        if (Enum.GetValues<TicketFact>()
            .Any(w => job.Ticket.Words(w) is not { } said || said.Length > w.Most() || w.Plainly(said) != said))
            throw No("a fact of its ticket");
        if (job.Ticket.Earlier is { IsSound: false }) throw No("what its ticket had at an earlier printer");
        if (job.Ticket.ReviewQuotes is not { } quotations || quotations.Any(q => q?.Words is null || q.Source is null)
            || !ReviewQuote.TryParse(ReviewQuote.Show(quotations), out var read, out _) || !read.SequenceEqual(quotations))
            throw No("the words of its ticket");
        if (job.Ticket.Pictures.Any(p => !p.IsSound)) throw No("a picture of its ticket");
        if (job.Swatches.Count > 200
            || job.Swatches.Any(s => s?.Id is null || s.Name is null || s.Asked is null or { Length: > 60 })
            || job.Swatches.DistinctBy(s => s.Id).Count() != job.Swatches.Count)
            throw No("its swatches");
        if (job.Wraps.Where((w, n) => w?.Name != (n == 0 ? Core.Document.Job.Cover : Core.Document.Job.Case)).Any())
            throw No("its wraps");
        foreach (var wrap in job.Wraps)
        {
            if (wrap?.Tracing is { } tracing
                && (tracing.Picture is null || !tracing.Picture.IsSound || tracing.Strength is < 5 or > 100
                    || tracing.Panel is { } over && !Enum.IsDefined(over)))
                throw No("its tracing");
            if (wrap?.Takes is null or { Count: 0 or > AddTake.Most } || wrap.Current is null) throw No("its takes");
            if (wrap.Takes.Any(t => t?.Id is null || !Free.CanBe(t.Id))
                || wrap.Takes.DistinctBy(t => t.Id).Count() < wrap.Takes.Count || wrap.Find(wrap.Current) is null)
                throw No("its takes");
            foreach (var take in wrap.Takes)
            {
                if (take?.Ground is null || take.Items is null || take.Items.Count > AddItem.Most || take.Name is null)
                    throw No("a take");
                if (take.Ground.Pattern is { IsSound: false }) throw No("its ground");
                if (take.Worn is { IsSound: false } || take.Beside.Count > AddItem.Most) throw No("what laid a take");
                var all = take.Items.Concat(take.Beside).ToList();
                if (all.Any(i => i?.Id is null || i.Hold is null || i.Name is null || i.Group is null || !Free.CanBe(i.Id))
                    || all.DistinctBy(i => i.Id).Count() != all.Count)
                    throw No("an item");
                foreach (var item in all)
                    if (!Same(Item(item, id => job.Swatches.Any(s => s.Id == id) ? id : null), item))
                        throw No($"the item {item.Id}");
            }
        }
        if (job.Edition is null || job.Editions is null || job.Editions.Count > Core.Document.Job.MostEditions
            || job.Editions.Any(e => e?.Id is null || e.Name is null or { Length: > NameItem.Most } || e.Ticket is null
                || e.Id == job.Edition || !Free.CanBe(e.Id))
            || !Free.CanBe(job.Edition) || job.Editions.DistinctBy(e => e.Id).Count() != job.Editions.Count)
            throw No("its editions");
        // Another edition's ticket is looked over as this one is: as a job that has it alone.
        foreach (var edition in job.Editions) Job(job with { Ticket = edition.Ticket, Editions = [], Inside = null });
        if (job.Inside is { IsSound: false }) throw No("its pages");
        if (job.WithPagesCounted(job with { Inside = null }) is var counted && counted.Ticket.Pages != job.Ticket.Pages)
            throw No("its count of pages");
        if (job.Wraps.SelectMany(w => w.Take.Items).GroupBy(i => i.Id).Any(g => g.Count() > 1))
            throw No("an item on two wraps");
        // The house's figures are read as a house file's are, each within its range; the sheets are computed, and
        // refuse what makes none.
        if (job.Ticket.House is null || HouseFile.Read(HouseFile.Write(job.Ticket.House)) is null)
            throw No("its printer’s rules");
        _ = job.Sheets();
        if (job.WithPieces().Wraps.Count != job.Wraps.Count) throw No("its wraps");
    }

    /// <summary>Whether two items are written alike; as records they would differ by the lists they hold.</summary>
    private static bool Same(Item a, Item b) =>
        JsonSerializer.SerializeToUtf8Bytes(a, JobJson.Options).AsSpan()
            .SequenceEqual(JsonSerializer.SerializeToUtf8Bytes(b, JobJson.Options));

    private static Refusal No(string what) =>
        new("paste", $"{what} can’t be taken in, being out of all range: nothing was changed");
}
