namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>
/// An item that nobody will see: off the sheet, on a panel this binding has not, or a picture's frame without a
/// picture.
/// </summary>
public sealed class ItemLost : Rule
{
    public const string Named = "item.lost";

    public override string Id => Named;
    public override string Proves => "every item lies on the sheet";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var item in look.Take.Items)
        {
            if (look.Scene.Item(item.Id) is not { } drawn) continue;
            var place = drawn.Frame.ToBox();
            if (item.Hidden)
            {
                if (!place.IsEmpty)
                    yield return new()
                    {
                        Severity = Severity.Note,
                        Measured = "hidden",
                        Limit = "shown, or gone",
                        Why = $"The {item.Said} is hidden and is not printed.",
                        Mend = "Show it, or leave it hidden.",
                        Of = item,
                        Place = place,
                        Fix = new HideItem(item.Id, false),
                    };
                continue;
            }
            if (!place.IsEmpty
                && look.Take.Items.SkipWhile(i => i.Id != item.Id).Skip(1)
                    .FirstOrDefault(o =>
                        Covers(look, o, drawn.Inked.IsEmpty ? place : drawn.Inked.ToBox())) is { } over)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = $"wholly behind {over.Said}",
                    Limit = "seen",
                    Why = $"The {item.Said} lies wholly covered and does not show.",
                    Mend = "Bring it in front, or remove it.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : new OrderItem(item.Id, look.Take.Items.Count),
                };
            if (look.On.Number == look.First && Lost(look, item))
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = $"hangs on the {item.Hold.Panel.Say()}",
                    Limit = "a panel of this binding",
                    Why = $"This binding has no {item.Hold.Panel.Say()}; the {item.Said} is kept for one that has.",
                    Mend = "Leave it, or hang it on another panel.",
                    Of = item,
                };
            else if (!place.IsEmpty && place.Intersect(look.Sheet.Whole).IsEmpty)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = "off the sheet",
                    Limit = "on the sheet",
                    Why = $"The {item.Said} lies wholly off the sheet and is not printed.",
                    Mend = "Carry it back, or centre it on its panel.",
                    Of = item,
                    Place = place,
                    Fix = item.Locked ? null : new CentreItem(item.Id, DownToo: true),
                };
            else if (item is PictureItem { Picture: null, Fill: null, Line: null })
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = "no picture",
                    Limit = "a picture",
                    Why = "This frame is kept for a picture and prints nothing yet.",
                    Mend = "Give it a picture, or remove it.",
                    Of = item,
                    Place = place,
                };
        }
    }

    private static bool Lost(CheckContext look, Item item) =>
        item.Hold.Panel != Part.Sheet
            && look.Job.Sheets().Where(s => s.Wrap == look.On.Wrap).All(s => s.Sheet.Panel(item.Hold.Panel) is null);

    /// <summary>Whether an item hides all of a place.</summary>
    private static bool Covers(CheckContext look, Item over, Box place) =>
        over is { Hidden: false, Opacity: 100, Blend: Blend.Normal } && over.Turned % 90 == 0 && Coverage.IsSolid(over)
            && Placement.Of(over, look.Sheet) is { } at && at.OnSheet(over).Contains(place);
}
