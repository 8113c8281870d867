namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>A barcode whose check digit is wrong, or whose number is not the ticket's.</summary>
public sealed class BarcodeDigits : Rule
{
    public override string Id => "barcode.digits";
    public override string Proves => "the barcode’s number is right";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            var place = drawn.Frame.ToBox();
            if (item is CodeItem { Link.Length: 0 })
                yield return Found(look, Severity.Stop, "no link", "where it leads",
                    "A code without a link is an empty white field.", "Type its link, or remove it.", item, place: place);
            if (item is not BarcodeItem code) continue;
            if (BarcodeDrawing.Number(code, look.Job.Ticket) is not { } digits)
            {
                yield return Found(look, Severity.Stop, "no number", "an ISBN",
                    "The ticket has no ISBN, so there are no bars to draw.",
                    "Type the ISBN on the ticket, or remove the barcode.", item, place: place);
                continue;
            }
            if (digits.Length == 12) digits = "0" + digits;
            if (Ean13.CheckDigit(digits) is var right && right != digits[12])
                yield return Found(look, Severity.Stop, $"…{digits[9..]}", $"…{digits[9..12]}{right}",
                    $"The check digit of {digits} is wrong: no till would read it.",
                    $"Compare it with your agency’s; the last digit should be {right}.", item, place: place,
                    by: item.Locked
                        ? null
                        : BarcodeItem.NumberField.Set(item.Id, look.Job.Ticket.Isbn is null ? code.Number![..^1] + right : null));
            else if (code.For == BarcodeFor.Book && look.Job.Ticket.Isbn is { } isbn && isbn.Digits != digits)
                yield return Found(look, Severity.Stop, Isbn.Hyphenate(digits), isbn.ToString(),
                    "The barcode and the ticket name two different books.",
                    "Leave the barcode’s own number blank to take the ticket’s.", item, place: place,
                    by: item.Locked ? null : BarcodeItem.NumberField.Set(item.Id, null));
        }
    }
}
