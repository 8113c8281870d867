using Lumbeck.Press.Colour;

namespace Lumbeck.Desk.Assets;

/// <summary>A swatch as a house prints it, against what was asked for.</summary>
/// <param name="Swatch">The swatch.</param>
/// <param name="Asked">What was asked for, where that was no mix.</param>
/// <param name="Hex">How its mix looks, against the paper's white.</param>
/// <param name="OnPaper">The same with the paper's own colour.</param>
/// <param name="AskedHex">How what was asked for looks on a screen.</param>
/// <param name="Off">How far the mix lies from what was asked for, in CIEDE2000; null where a mix was asked
/// for.</param>
/// <param name="Uses">How often it is used.</param>
public sealed record SwatchLook(Swatch Swatch, Asked? Asked, string Hex, string OnPaper, string AskedHex, double? Off,
    int Uses)
{
    /// <summary>From this difference on the press can't show what was asked for.</summary>
    public const double Outside = 3;
}

/// <summary>Work with a job's swatches that needs the house's profile.</summary>
public static class Colours
{
    public static IReadOnlyList<SwatchLook> Looks(this Drawer drawer, Job job)
    {
        var colour = drawer.ColourOf(job.Ticket.House);
        return [.. job.Swatches.Select(s =>
        {
            var asked = Of(s);
            return new SwatchLook(s, asked, colour.Hex(s.Ink), colour.OnPaper(s.Ink),
                asked is null ? "" : PressColour.Hex(asked),
                asked is null ? null : PressColour.Lab(asked).DeltaE(colour.Lab(s.Ink)), Paints.Uses(job, s.Id));
        })];
    }

    private static Asked? Of(Swatch s) => Attempt.OrNull(() => Asked.Read(s.Asked));

    /// <summary>
    /// A text as the job's facts read it: a colour of a screen or in Lab becomes the mix that comes nearest on this
    /// house's press.
    /// </summary>
    /// <exception cref="Refusal">It begins as a colour and can't be read on.</exception>
    public static string InInks(this Drawer drawer, Job job, string path, string text)
    {
        if (Facts.Find(job, path) is not { TakesColour: true }) return text;
        return Attempt.Telling(r => r.At(path), () =>
            Asked.Read(text) is { } asked ? drawer.ColourOf(job.Ticket.House).Mix(asked).ToString() : text);
    }

    /// <summary>
    /// The edit that a text typed as a swatch's mix makes: four inks, or a colour that the mix is to come near to.
    /// </summary>
    /// <exception cref="Refusal">It is neither.</exception>
    public static Edit Mixed(this Drawer drawer, Job job, string id, string text)
    {
        var path = $"swatch/{id}/mix";
        return Attempt.At(path, () => Asked.Read(text) is { } asked
            ? new SetSwatch(id, Ink: drawer.ColourOf(job.Ticket.House).Mix(asked), Asked: asked.Text)
            : Facts.Write(job, path, text));
    }

    /// <summary>What goes with a swatch: a name, the mix, and how it looks.</summary>
    public static IReadOnlyList<(string Name, Ink Ink, string Hex)> Harmonies(this Drawer drawer, Job job,
        Swatch swatch)
    {
        var colour = drawer.ColourOf(job.Ticket.House);
        var lab = colour.Lab(swatch.Ink);
        return [.. Harmony.All.SelectMany(h =>
            h.Turns.Select((turn, n) => (h.Name, Ink: colour.Mix(new AskedLab(Rounded(lab.Turned(turn))))))
                .Select(x => (x.Name, x.Ink, colour.Hex(x.Ink))))];
    }

    private static Lab Rounded(Lab l) =>
        new(Math.Round(l.L, 1), Math.Round(Math.Clamp(l.A, -128, 127), 1), Math.Round(Math.Clamp(l.B, -128, 127), 1));

    /// <summary>The edit that adds colours to a job as swatches, under names that are free.</summary>
    /// <exception cref="Refusal">There are none, or more than a job takes.</exception>
    public static Edit AddColours(this Drawer drawer, Job job, IEnumerable<(string Name, Asked Colour)> colours,
        string made, string says)
    {
        var colour = drawer.ColourOf(job.Ticket.House);
        var edits = ImmutableList.CreateBuilder<Edit>();
        var names = job.Swatches.Select(s => s.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        foreach (var (name, asked) in colours)
        {
            var wanted = string.Concat(name.Where(c => !char.IsControl(c))).Trim();
            if (wanted.Length == 0) wanted = asked.Text.TrimStart('#');
            if (char.IsDigit(wanted[0])) wanted = "Colour " + wanted;
            var free = Free.Like(wanted.Length > 34 ? wanted[..34] : wanted, names.Contains);
            names.Add(free);
            edits.Add(new AddSwatch(new($"{made}-{edits.Count + 1}", free, colour.Mix(asked)) { Asked = asked.Text }));
        }
        if (job.Swatches.Count + edits.Count > 200)
            throw new Refusal("swatches",
                $"{edits.Count} more would make {job.Swatches.Count + edits.Count} swatches: a job holds up to 200");
        return edits.Count switch
        {
            0 => throw new Refusal("swatches", "there are no colours to add"),
            1 => edits[0],
            _ => new Together(edits.ToImmutable(), says),
        };
    }

    /// <summary>A job's swatches as a GIMP palette, as they look in print.</summary>
    public static string WritePalette(this Drawer drawer, Job job)
    {
        var colour = drawer.ColourOf(job.Ticket.House);
        return GimpPalette.Write(job.Ticket.Title.Length > 0 ? job.Ticket.Title : "Cover",
            job.Swatches.Select(s => (s.Name, (AskedRgb)Asked.Read(colour.Hex(s.Ink))!)));
    }
}
