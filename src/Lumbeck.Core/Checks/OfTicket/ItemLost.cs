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

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var item in look.Take.Items)
        {
            if (look.Scene.Item(item.Id) is not { } drawn) continue;
            var place = drawn.Frame.ToBox();
            if (item.Hidden)
            {
                if (!place.IsEmpty)
                    yield return Found(look, Severity.Note, "hidden", "shown, or gone",
                        $"The {item.Said} is hidden and is not printed.", "Show it, or leave it hidden.", item,
                        place: place, by: new HideItem(item.Id, false));
                continue;
            }
            if (!place.IsEmpty
                && look.Take.Items.SkipWhile(i => i.Id != item.Id).Skip(1)
                    .FirstOrDefault(o =>
                        Covers(look, o, drawn.Inked.IsEmpty ? place : drawn.Inked.ToBox())) is { } over)
                yield return Found(look, Severity.Note, $"wholly behind {over.Said}", "seen",
                    $"The {item.Said} lies wholly covered and does not show.", "Bring it in front, or remove it.", item,
                    place: place, by: item.Locked ? null : new OrderItem(item.Id, look.Take.Items.Count));
            if (look.On.Number == look.First && Lost(look, item))
                yield return Found(look, Severity.Note, $"hangs on the {item.Hold.Panel.Say()}",
                    "a panel of this binding",
                    $"This binding has no {item.Hold.Panel.Say()}; the {item.Said} is kept for one that has.",
                    "Leave it, or hang it on another panel.", item);
            else if (!place.IsEmpty && place.Intersect(look.Sheet.Whole).IsEmpty)
                yield return Found(look, Severity.Note, "off the sheet", "on the sheet",
                    $"The {item.Said} lies wholly off the sheet and is not printed.",
                    "Carry it back, or centre it on its panel.", item, place: place,
                    by: item.Locked ? null : new CentreItem(item.Id, DownToo: true));
            else if (item is PictureItem { Picture: null, Fill: null, Line: null })
                yield return Found(look, Severity.Note, "no picture", "a picture",
                    "This frame is kept for a picture and prints nothing yet.", "Give it a picture, or remove it.",
                    item, place: place);
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
