namespace Lumbeck.Core.Liveries;

/// <summary>
/// What lies on a wrap now, as a livery takes it over: by what things are for. Words that the ticket knows are laid from
/// there; the largest picture goes to the livery's picture place; what is left over lies beside the sheet.
/// </summary>
/// <param name="Picture">The maker's own picture; null where there is none.</param>
/// <param name="Title">The title with the breaks that its maker forced; null for the ticket's own.</param>
internal sealed record Carried(PictureItem? Picture, string? Title)
{
    public static Carried Of(Take take, Ticket ticket)
    {
        var pictures = take.Items.Concat(take.Beside).OfType<PictureItem>()
            .Where(p => p is { Hidden: false, Picture.IsDrawing: false } && !IsOfTicketOrPage(p, ticket));
        var title = take.Items.OfType<TextItem>().FirstOrDefault(t => t is { Role: TextRole.Title, Starter: false }
            && t.Hold.Panel != Part.Spine && Plain.Bare(t.Words) == Plain.Bare(ticket.Title));
        static double side(Span s) => s.Own.Points + ((double)s.Share * 400);
        var largest = pictures.MaxBy(p => side(p.Width) * side(p.Height));
        return new(largest is null ? null : largest with { Turned = 0, Fit = Fit.Cover, Growth = null, Group = "", Locked = false },
            title?.Words);
    }

    /// <summary>
    /// A laid take with what of another found no place in it beside the sheet, under ids that nothing on it bears.
    /// </summary>
    public static Take Beside(Take laid, Take was, Ticket ticket)
    {
        var said = Said(ticket);
        var shown = laid.Pictures.Select(p => p.Hash).ToHashSet();
        var rest = ImmutableList.CreateBuilder<Item>();
        foreach (var item in was.Items.Concat(was.Beside).Where(i => !i.Hidden && i switch
        {
            TextItem t => t is { Starter: false, Words.Length: > 0 } && !said.Contains(Plain.Bare(t.Words), StringComparison.Ordinal),
            PictureItem p => p.Picture is { } picture && !shown.Contains(picture.Hash)
                && !(IsOfTicketOrPage(p, ticket) && Figures.AsLaid(p)),
            CodeItem => true,
            _ => false,
        }))
            rest.Add(item with
            {
                Id = Free.Id(item.Id, id => laid.Items.Any(i => i.Id == id) || rest.Any(i => i.Id == id)),
                Laid = null,
                From = null,
            });
        return laid with { Unplaced = rest.Count > 0 ? rest.ToImmutable() : null };
    }

    /// <summary>A picture that liveries lay by themselves: of the ticket, or of a page.</summary>
    private static bool IsOfTicketOrPage(PictureItem item, Ticket ticket) =>
        ticket.Pictures.Any(p => p.Hash == item.Picture?.Hash) || item.Laid?.Part is { } part
            && (part is LiveryComposer.MarkPart or LiveryComposer.PortraitPart
                || part.StartsWith(LiveryComposer.PagePart, StringComparison.Ordinal));

    /// <summary>All that a ticket knows in words, bare.</summary>
    internal static string Said(Ticket ticket) => Plain.Bare(string.Join(' ', Enum.GetValues<TicketFact>().Select(ticket.Words)
        .Append(ReviewQuote.Show(ticket.ReviewQuotes)).Append(ticket.Price?.ToString()).Append(ticket.SecondPrice?.ToString())));
}
