using System.Runtime.CompilerServices;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Html;
using Microsoft.AspNetCore.Mvc.Rendering;

namespace Lumbeck.Web.Screens;

/// <summary>
/// Rows of items as they were shown last. A closed row follows from its item, the ticket, the swatches, whether it is
/// picked, and what was found of it; a list of hundreds is not made anew for an edit of one. A row goes with its item.
/// </summary>
public sealed class Rows
{
    private sealed record Shown(Ticket Ticket, IReadOnlyList<Swatch> Swatches, string State, HtmlString Html);

    private readonly ConditionalWeakTable<Item, Shown> _shown = [];

    /// <summary>A row, made where it is not at hand.</summary>
    /// <param name="html">The page.</param>
    /// <param name="v">What is shown.</param>
    /// <param name="item">The row's item.</param>
    /// <param name="found">What was found, by item.</param>
    public async Task<IHtmlContent> Of(IHtmlHelper html, JobView v, Item item, ILookup<string?, Finding> found)
    {
        var view = new RowView(v, item, [.. found[item.Id]]);
        // What is open shows more than can be told in a key.
        if (view.Open) return await html.PartialAsync("_Row", view);
        var state = $"{view.Picked} {view.Worst} {view.Look} {view.Lost}";
        if (_shown.TryGetValue(item, out var known) && ReferenceEquals(known.Ticket, v.Ticket)
            && ReferenceEquals(known.Swatches, v.Job.Swatches) && known.State == state)
            return known.Html;
        await using var text = new StringWriter();
        (await html.PartialAsync("_Row", view)).WriteTo(text, HtmlEncoder.Default);
        var made = new HtmlString(text.ToString());
        _shown.AddOrUpdate(item, new(v.Ticket, v.Job.Swatches, state, made));
        return made;
    }
}

/// <summary>An item's row in a panel's list.</summary>
/// <param name="View">What is shown.</param>
/// <param name="Item">The item.</param>
/// <param name="Found">What was found of it.</param>
public sealed record RowView(JobView View, Item Item, IReadOnlyList<Finding> Found)
{
    /// <summary>Whether its settings are shown.</summary>
    public bool Open => Item.Id == View.Open;
    public bool Picked => View.Picked.Contains(Item.Id);
    /// <summary>The worst that was found of it and is not waived; a note where there is nothing.</summary>
    public Severity Worst =>
        Found.Where(f => f.Waived is null).Select(f => f.Severity).DefaultIfEmpty(Severity.Note).Min();
    /// <summary>Whether it wants a look since the sheet changed.</summary>
    public bool Look => View.Job.Looks.Any(l => l.Item == Item.Id);
    /// <summary>Whether nothing of it is seen.</summary>
    public bool Lost => Found.Any(f => f.Id == ItemLost.Named);

    /// <summary>What it says, on one line; a dash where it says nothing.</summary>
    public string Says
    {
        get
        {
            var says = Item.Says(new(View.Job.Swatches, View.Ticket.Isbn));
            return says.Length == 0 ? "—" : says;
        }
    }
}
