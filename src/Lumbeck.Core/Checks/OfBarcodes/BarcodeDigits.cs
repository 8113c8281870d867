namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>A barcode whose check digit is wrong, or whose number is not the ticket's.</summary>
public sealed class BarcodeDigits : Rule
{
    public override string Id => "barcode.digits";
    public override string Proves => "the barcode’s number is right";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            var place = drawn.Frame.ToBox();
            if (item is CodeItem { Link.Length: 0 })
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = "no link",
                    Limit = "where it leads",
                    Why = "A code without a link is an empty white field.",
                    Mend = "Type its link, or remove it.",
                    Of = item,
                    Place = place,
                };
            if (item is not BarcodeItem code) continue;
            if (BarcodeDrawing.Number(code, look.Job.Ticket) is not { } digits)
            {
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = "no number",
                    Limit = "an ISBN",
                    Why = "The ticket has no ISBN, so there are no bars to draw.",
                    Mend = "Type the ISBN on the ticket, or remove the barcode.",
                    Of = item,
                    Place = place,
                };
                continue;
            }
            if (digits.Length == 12) digits = "0" + digits;
            if (Ean13.CheckDigit(digits) is var right && right != digits[12])
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"…{digits[9..]}",
                    Limit = $"…{digits[9..12]}{right}",
                    Why = $"The check digit of {digits} is wrong: no till would read it.",
                    Mend = $"Compare it with your agency’s; the last digit should be {right}.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked
                        ? null
                        : BarcodeItem.NumberField.Set(item.Id, look.Job.Ticket.Isbn is null ? code.Number![..^1] + right : null),
                };
            else if (code.For == BarcodeFor.Book && look.Job.Ticket.Isbn is { } isbn && isbn.Digits != digits)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = Isbn.Hyphenate(digits),
                    Limit = isbn.ToString(),
                    Why = "The barcode and the ticket name two different books.",
                    Mend = "Leave the barcode’s own number blank to take the ticket’s.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : BarcodeItem.NumberField.Set(item.Id, null),
                };
        }
    }
}
