using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Rewriting;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Pictures;
using Lumbeck.Press.Plates;

namespace Lumbeck.Press.Kinds;

/// <summary>
/// What a press file says of itself. Date and id come from the job's revision, so that a file can be made again to the
/// byte.
/// </summary>
public sealed record DocumentInfo(string Title, string Author, string Subject, DateTimeOffset At, string JobId,
    long Revision)
{
    /// <summary>One line beside the marks: title, house, size, spine, date.</summary>
    public string Slug { get; init; } = "";
}

/// <summary>
/// Writes files of every kind (docs/press-files.md). A kind is a few rules: PDF/X-4 keeps transparency, PDF/X-1a and
/// what is in a screen's colours have it flattened;
/// marks make the page larger than the bleed; a panel is the sheet seen through a smaller page; a mock-up lays the
/// sheet over several.
/// </summary>
public static class PressFile
{
    internal const string Maker = "Lumbeck";

    /// <param name="output">Written from front to back; not closed.</param>
    /// <param name="pages">The sheets, composed one at a time.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="house">Whose condition, profile and marks.</param>
    /// <param name="note">What the file says of itself.</param>
    /// <param name="shelf">Where the faces are.</param>
    /// <param name="pictures">Where pictures' files are; null where there are none.</param>
    /// <param name="before">Is told of each page and picture before it is made; may end the work by throwing.</param>
    /// <exception cref="Refusal">A face's licence forbids what was asked, or a sheet has no such panel; they are
    /// named.</exception>
    public static void Write(Stream output, IEnumerable<Scene> pages, PressPlan plan, House house, DocumentInfo note,
        FaceShelf shelf, IPictureFiles? pictures = null, Action? before = null)
    {
        using var pdf = new PdfWriter(output, plan.Kind.Version);
        var tree = pdf.Reserve();
        var faces = new SortedDictionary<FaceId, EmbeddedFont>();
        Outline Shaped(GlyphMark g) => TextDrawing.Shape([g], shelf);
        EmbeddedFont Face(FaceId id) =>
            faces.TryGetValue(id, out var f)
                ? f
                : faces[id] = new(shelf.Open(id), "F" + (faces.Count + 1).ToString(CultureInfo.InvariantCulture),
                    pdf.Reserve());

        var condition = PrintingCondition.Of(house);
        var ink = new ColorOperators(plan.InRgb ? new PressColour(condition) : null);
        var images = new ImageXObjects(pdf, house, pictures)
        {
            Before = before,
            Rgb = plan.InRgb,
            PerInch = plan.Kind.PicturesPerInch,
            Pages = pictures is null || plan.InRgb ? null : new PageForms(pdf, house, plan.Kind, shelf, pictures).Of,
        };
        var symbols = new FormXObjects(pdf);
        var painter = new PlatePainter(shelf, pictures, condition);
        var outlines = plan.Outlines || (house.OutlinesOnly && plan.Kind.IsForPrinter);
        var kids = new List<int>();
        var seen = pages.SelectMany(sheet => plan.EachPanel
            ? PressPlan.AsPages.Where(p => sheet.Surface.Panel(p) is not null).Select(p => (sheet, plan with { Panel = p }))
            : [(sheet, plan)]);
        foreach (var (sheet, of) in seen)
        {
            before?.Invoke();
            RefuseFaces(sheet, shelf);
            var page = PageBoxes.Of(sheet.Surface, of, house);
            var scene = page.Seen(plan.Zones && plan.Kind.Wishes.HasFlag(Wishes.Zones) ? ZonesOver.Of(sheet) : sheet);
            FlatImages? flats = null;
            var flattened = plan.Flat
                ? Flattening.Of(scene, plan.Kind.FlatPerInch, finishes: plan.InRgb)
                : Flattening.WhatMust(scene, plan.Kind.FlatPerInch);
            if (!flattened.Parts.IsEmpty)
            {
                flats = new(pdf, house, plan.InRgb);
                flats.Write(new(painter, scene, flattened.Parts,
                    page.Sight)
                { Likeness = plan.InRgb, Before = before });
            }
            scene = flattened.Scene;
            var has = new PageResources(pdf, Face, images, symbols, ink, page.Media) { Flats = flats };
            var content = new PdfPainter(scene, has, ink, page.OnPage(scene), outlines ? Shaped : null).Paint();
            // What hangs over the sheet's edge ends at the bleed; beyond it are marks alone.
            if (page.Marked)
                content = page.WithinBleed(content) + new PrinterMarks(page, house, note, has, shelf, ink, plan,
                    outlines ? Shaped : null)
                    .Draw();
            string used() =>
                string.Concat(faces.Values.OrderBy(f => f.Number).Select(f => $"/{f.Name} {f.Number} 0 R "));
            if (plan.Kind.MadeOf == MadeOf.Tiles)
            {
                kids.AddRange(new Mockup(pdf, tree,
                    sheet.Surface as Sheet ?? throw new Refusal("kind", "a mock-up is made of a cover"), plan, Face,
                    shelf)
                    .Pages(content, has, used));
                continue;
            }
            var stream = pdf.Stream("", s => s.Write(Encoding.ASCII.GetBytes(content)));
            kids.Add(pdf.Object($"<< /Type /Page /Parent {tree} 0 R {page.Entries()} " +
                $"{(has.Mixes ? "/Group << /S /Transparency /CS /DeviceCMYK >> " : "")}/Resources " +
                $"{has.Write(used(), "")} 0 R /Contents {stream} 0 R >>"));
        }
        foreach (var face in faces.Values) face.Write(pdf);
        Finish(pdf, tree, kids, plan, house, note);
    }

    /// <summary>The tree of pages, the printing condition, and what the file says of itself.</summary>
    internal static void Finish(PdfWriter pdf, int tree, IReadOnlyList<int> kids, PressPlan plan, House house,
        DocumentInfo note,
        bool rightToLeft = false)
    {
        pdf.Object(tree,
            $"<< /Type /Pages /Count {kids.Count} /Kids [{string.Join(' ', kids.Select(k => $"{k} 0 R"))}] >>");

        // A printing condition is said by what is in its inks; what is in a screen's colours is for eyes.
        var intents = plan.InRgb ? "" : $"/OutputIntents [{Intent(pdf, plan, house)} 0 R] ";
        var meta = plan.Kind.Naming == Naming.Info
            ? ""
            : $"/Metadata {pdf.Stream("/Type /Metadata /Subtype /XML",
                s => s.Write(Encoding.UTF8.GetBytes(XmpPacket.Of(note, plan.Kind))),
                compress: false)} 0 R ";
        var catalog = pdf.Object($"<< /Type /Catalog /Pages {tree} 0 R {meta}{intents}" +
            $"{(rightToLeft ? "/ViewerPreferences << /Direction /R2L >> " : "")}>>");
        var info = pdf.Object($"<< /Title {PdfSyntax.String(note.Title)} /Author {PdfSyntax.String(note.Author)} " +
            $"/Subject {PdfSyntax.String(note.Subject)} /Creator ({Maker}) /Producer ({Maker}) /CreationDate " +
            $"{PdfSyntax.Date(note.At)} /ModDate {PdfSyntax.Date(note.At)} /Trapped /False " +
            $"{(plan.Kind.Naming == Naming.Info ? $"/GTS_PDFXVersion ({plan.Kind.Title}) " : "")}>>");
        pdf.Finish(catalog, info);
    }

    /// <summary>
    /// The printing condition (ISO 32000-1, 14.11.5). PDF/X-4 carries its profile; PDF/X-1a may name a registered
    /// condition alone (ISO 15930-4, 6.5).
    /// </summary>
    private static int Intent(PdfWriter pdf, PressPlan plan, House house)
    {
        var embedded = house.ProfileEmbedded || !plan.Kind.NamesCondition || !IsRegistered(house.OutputCondition);
        int? icc = null;
        if (embedded)
        {
            var profile = Profiles.Bytes(house.Profile);
            icc = pdf.Stream("/N 4", s => s.Write(profile));
        }
        var condition = PdfSyntax.String(house.OutputCondition);
        return pdf.Object($"<< /Type /OutputIntent /S /GTS_PDFX /OutputConditionIdentifier {condition} " +
            $"{(IsRegistered(house.OutputCondition) ? "/RegistryName (http://www.color.org) " : "")}/Info " +
            $"{condition}{(icc is { } n ? $" /DestOutputProfile {n} 0 R" : "")} >>");
    }

    /// <summary>Conditions registered with the International Color Consortium are known by their name alone.</summary>
    private static bool IsRegistered(string condition) =>
        condition.StartsWith("FOGRA", StringComparison.OrdinalIgnoreCase)
            || condition.StartsWith("CGATS", StringComparison.OrdinalIgnoreCase)
            || condition.StartsWith("JC20", StringComparison.OrdinalIgnoreCase);

    /// <summary>
    /// Refuses a sheet that is set in a face whose licence lets no file hold it, whether as type or as shapes.
    /// </summary>
    /// <exception cref="Refusal">The face, by name.</exception>
    public static void RefuseFaces(Scene scene, FaceShelf shelf)
    {
        foreach (var face in scene.Items.SelectMany(p => p.Marks).OfType<GlyphMark>().Select(g => g.Face).Distinct())
            if (shelf.Facts(face).Embedding == Embedding.Never)
                throw new Refusal("face",
                    $"the licence of {shelf.NameOf(face)} lets no file hold it: set its words in another face, or " +
                        $"bring a version with embedding rights");
    }
}
