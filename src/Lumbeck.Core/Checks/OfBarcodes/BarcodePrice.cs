namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>
/// Price, currency, add-on and ticket that disagree; an add-on the house does not take, or one it misses.
/// </summary>
public sealed class BarcodePrice : Rule
{
    public override string Id => "barcode.price";
    public override string Proves => "prices agree wherever they stand";

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        var t = look.Job.Ticket;
        var told = t.Price is { } p ? Ean5.Of(p) : null;
        foreach (var (item, drawnItem) in look.Drawn())
        {
            var place = drawnItem.Frame.ToBox();
            if (item is BarcodeItem { AddOn: { } addOn } code)
            {
                Edit? none = item.Locked ? null : BarcodeItem.AddOnField.Set(item.Id, null);
                if (look.House.BarcodePrice == PriceAddOn.None)
                    yield return Found(look, Severity.Stop, "a price add-on", "none",
                        $"{look.House.Name} prints no price beside the bars.", "Leave the add-on away.", item,
                        place: place, by: none);
                else if (addOn.Length == 0 && told is null)
                    yield return Found(look, Severity.Stop,
                        t.Price is { } odd ? odd.ToString() : "no price on the ticket",
                        $"a price under 100 in {string.Join(", ", Ean5.Currencies.Select(c => c.Currency))}",
                        "No add-on can tell this price, so none is drawn.",
                        "Give the ticket a price, or leave the add-on away.", item, place: place, by: none);
                else if (addOn.Length > 0 && told is not null && addOn != told)
                    yield return Found(look, Severity.Stop, $"{addOn} beside the bars", $"{told} for {t.Price}",
                        "The till would ask for another price than the ticket’s.", "Take the ticket’s price.", item,
                        place: place, by: item.Locked ? null : BarcodeItem.AddOnField.Set(item.Id, ""));
            }
            else if (item is BarcodeItem && look.House.BarcodePrice == PriceAddOn.Required)
                yield return Found(look, Severity.Stop, "no price add-on", "one",
                    $"{look.House.Name} wants the price beside the bars.", "Add the ticket’s price to the barcode.",
                    item, place: place, by: item.Locked ? null : BarcodeItem.AddOnField.Set(item.Id, ""));
            // A line that is a price and nothing else.
            else if (item is TextItem { Words.Length: < 40 } text && t.Price is { } asked
                && Price.TryParse(text.Words, out var said, out _) && said != asked)
                yield return Found(look, Severity.Stop, said.ToString(), asked.ToString(),
                    "The cover and the ticket name two prices.", "Say the same in both.", item, place: place,
                    by: text.Locked ? null : new SetWords(item.Id, asked.ToString()));
        }
    }
}
