namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Words in braces that nothing fills in, and cells of a table that are empty.</summary>
public sealed class PageFields : PageRule
{
    public override string Id => "page.fields";
    public override string Proves => "every word in braces is filled in";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        if (look.Planned is not { Design: { } design, Run: { } run } page) yield break;
        foreach (var unknown in design.Given.SelectMany(page.Facts.Unknown).Distinct())
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{{{LengthText.Clip(unknown)}}}",
                Limit = run.Table is { } t
                    ? $"a column of {t.Name}: {string.Join(", ", t.Columns)}"
                    : "a fact of the book, or a table’s column",
                Why = "Nothing is known by this name, so that the braces would be printed.",
                Mend = "Mend the name, or lay the table that has it.",
            };
        // What a book's own facts leave out is left out; a row's cell was meant to say something.
        if (run.Table is not { } table) yield break;
        foreach (var empty in design.Given.SelectMany(page.Facts.Empty)
            .Where(e => table.Columns.Contains(e, StringComparer.OrdinalIgnoreCase)).Distinct())
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"{LengthText.Clip(empty)} is empty in row {page.Slot.Time}",
                Limit = "a cell that says something",
                Why = "A page made of this row says nothing there.",
                Mend = $"Fill the cell in {table.Name}, and lay it again.",
            };
    }
}
