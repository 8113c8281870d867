namespace Lumbeck.Web.Wire;

/// <summary>Adds a swatch under an id.</summary>
public sealed record AddNewSwatch(string Swatch) : Ask
{
    public override Edit Make(Asking at) =>
        new AddSwatch(new(Swatch, Free.Numbered("Swatch", n => at.Job.Swatches.Any(s => s.Name == n)),
            Ink.Percent(0, 0, 0, 60)));
}

/// <summary>Makes swatches of a picture's own colours, under ids that begin so.</summary>
public sealed record TakePalette(string Item, string New) : Ask
{
    public override Edit Make(Asking at)
    {
        if (at.Job.Item(Item) is not PictureItem { Picture: { } picture })
            throw No("there is no picture to take colours from");
        var name = System.IO.Path.GetFileNameWithoutExtension(picture.Name);
        var colours = at.Desk.Drawer.Pictures.Palette(picture.Hash,
            Press.Colour.PrintingCondition.Of(at.Job.Ticket.House))
            .Select(c => (name, (Asked)c));
        return at.Desk.Drawer.AddColours(at.Job, colours, Begins(New), $"colours of {picture.Name}");
    }

    internal static string Begins(string made) => made is { Length: > 0 and <= 30 } ? made : "swatch";
}

/// <summary>Adds the colour that goes with a swatch in one of the ways that are offered, by its number.</summary>
public sealed record AddHarmony(string Swatch, int Number, string New) : Ask
{
    public override Edit Make(Asking at)
    {
        var of = at.Job.Swatches.FirstOrDefault(s => s.Id == Swatch)
            ?? throw No("this swatch was removed in the meantime");
        var harmonies = at.Desk.Drawer.Harmonies(at.Job, of);
        if (Number < 0 || Number >= harmonies.Count) throw No("there is no such colour to go with it");
        var (begins, one) = (of.Name.Length > 24 ? of.Name[..24] : of.Name, harmonies[Number]);
        var name = Free.Like($"{begins} {one.Name}",
            n => at.Job.Swatches.Any(s => s.Name.Equals(n, StringComparison.OrdinalIgnoreCase)));
        return new AddSwatch(new(TakePalette.Begins(New), name, one.Ink));
    }
}

/// <summary>Takes a swatch away.</summary>
public sealed record DropSwatch(string Swatch) : Ask
{
    public override Edit Make(Asking at) => new RemoveSwatch(Swatch);
}
