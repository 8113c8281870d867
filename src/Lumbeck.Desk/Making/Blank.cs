using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Templates;

namespace Lumbeck.Desk.Making;

/// <summary>The blank sheet with its zones, for work done elsewhere.</summary>
public static class Blank
{
    public static IReadOnlyList<string> Kinds { get; } = ["pdf", "svg", "png"];

    /// <summary>Writes a template of a sheet or of one panel of it.</summary>
    /// <exception cref="Refusal">There is no such kind or panel.</exception>
    public static void Write(Stream output, string kind, WrapGeometry geometry, Sheet sheet, Part part, string title,
        FaceShelf shelf)
    {
        var template = Template.Of(sheet, part, shelf);
        // Nothing of it changes with time, so it has no date of its own.
        var note =
            new DocumentInfo($"{title}{(title.Length > 0 ? ", " : "")}{(part == Part.Sheet ? "blank sheet" : part.Say())}",
            "", Subject(geometry, sheet, part), new DateTimeOffset(2000, 1, 1, 0, 0, 0, TimeSpan.Zero), "", 0);
        switch (kind)
        {
            case "pdf": TemplateFile.WritePdf(output, template, note, shelf); break;
            case "svg": output.Write(System.Text.Encoding.UTF8.GetBytes(TemplateFile.Svg(template, note))); break;
            case "png": TemplateFile.WritePng(output, template, shelf); break;
            default:
                throw new Refusal("--kind",
                $"`{LengthText.Clip(kind)}` is no kind of template: take {string.Join(", ", Kinds)}");
        }
    }

    /// <summary>Named with book, house, size and spine.</summary>
    public static string FileName(string kind, WrapGeometry geometry, Sheet sheet, Part part, string title)
    {
        var size = (part == Part.Sheet ? sheet.Whole : sheet.Panel(part)?.Edge ?? sheet.Whole).Size;
        var spine = geometry.Spine.Working.Length > 0 ? $"_spine-{Mm(geometry.Spine.Width)}mm" : "";
        var of = part == Part.Sheet ? "" : part.Word() + "_";
        return PressedFile.Plain(
            $"{title}_{of}{geometry.House.Id}_{Mm(size.Width)}x{Mm(size.Height)}mm{spine}_blank.{kind}");
    }

    private static string Subject(WrapGeometry g, Sheet sheet, Part part) =>
        $"{g.Book.Binding.Say()} for {g.House.Name}, trim {g.Book.Trim.Show(Unit.Millimetre)}, " +
            $"sheet {sheet.Size.Show(Unit.Millimetre)}" +
            $"{(g.Spine.Working.Length > 0 ? $", spine {g.Spine.Width.Show(Unit.Millimetre)}" : "")}" +
            $"{(part == Part.Sheet ? "" : $", {part.Say()} with its edge")}";

    private static string Mm(Length l) => Math.Round(l.Millimetres, 2).ToString("0.##", CultureInfo.InvariantCulture);
}
