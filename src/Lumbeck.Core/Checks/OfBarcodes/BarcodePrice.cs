namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>
/// Price, currency, add-on and ticket that disagree; an add-on the house does not take, or one it misses.
/// </summary>
public sealed class BarcodePrice : Rule
{
    public override string Id => "barcode.price";
    public override string Proves => "prices agree wherever they stand";

    protected override IEnumerable<Finding> Look(CheckContext look)
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
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = "a price add-on",
                        Limit = "none",
                        Why = $"{look.House.Name} prints no price beside the bars.",
                        Mend = "Leave the add-on away.",
                        Of = item,
                        Place = place,
                        Fix = none,
                    };
                else if (addOn.Length == 0 && told is null)
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = t.Price is { } odd ? odd.ToString() : "no price on the ticket",
                        Limit = $"a price under 100 in {string.Join(", ", Ean5.Currencies.Select(c => c.Currency))}",
                        Why = "No add-on can tell this price, so none is drawn.",
                        Mend = "Give the ticket a price, or leave the add-on away.",
                        Of = item,
                        Place = place,
                        Fix = none,
                    };
                else if (addOn.Length > 0 && told is not null && addOn != told)
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = $"{addOn} beside the bars",
                        Limit = $"{told} for {t.Price}",
                        Why = "The till would ask for another price than the ticket’s.",
                        Mend = "Take the ticket’s price.",
                        Of = item,
                        Place = place,
                        Fix = item.Locked ? null : BarcodeItem.AddOnField.Set(item.Id, ""),
                    };
            }
            else if (item is BarcodeItem && look.House.BarcodePrice == PriceAddOn.Required)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = "no price add-on",
                    Limit = "one",
                    Why = $"{look.House.Name} wants the price beside the bars.",
                    Mend = "Add the ticket’s price to the barcode.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : BarcodeItem.AddOnField.Set(item.Id, ""),
                };
            // A line that is a price and nothing else.
            else if (item is TextItem { Words.Length: < 40 } text && t.Price is { } asked
                && Price.TryParse(text.Words, out var said, out _) && said != asked)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = said.ToString(),
                    Limit = asked.ToString(),
                    Why = "The cover and the ticket name two prices.",
                    Mend = "Say the same in both.",
                    Of = item,
                    Place = place,
                    Fix = text.Locked ? null : new SetWords(item.Id, asked.ToString()),
                };
        }
    }
}
