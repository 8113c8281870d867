using System.Text;
using Lumbeck.Pdf.Writing;
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
        var kids = new List<PdfRef>();
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
            var has = new PageResources(pdf, Face, images, symbols, ink, page.Media) { Flats = flats };
            var content = new PdfPainter(flattened, has, ink, page.OnPage(scene), outlines ? Shaped : null).Paint();
            // What hangs over the sheet's edge ends at the bleed; beyond it are marks alone.
            if (page.Marked)
                content = page.WithinBleed(content).Append(new PrinterMarks(page, house, note, has, shelf, ink, plan,
                    outlines ? Shaped : null).Draw());
            PdfDict used() => Fonts(faces.Values);
            if (plan.Kind.MadeOf == MadeOf.Tiles)
            {
                kids.AddRange(new Mockup(pdf, tree,
                    sheet.Surface as Sheet ?? throw new Refusal("kind", "a mock-up is made of a cover"), plan, Face,
                    shelf)
                    .Pages(content, has, used));
                continue;
            }
            var stream = pdf.Stream(new(), content.Written);
            kids.Add(pdf.Object(page.Page(tree).Set("Group", has.Mixes ? PressObjects.InkGroup() : null)
                .Set("Resources", has.Write(used())).Set("Contents", stream)));
        }
        foreach (var face in faces.Values) face.Write(pdf);
        Finish(pdf, tree, kids, plan, house, note);
    }

    /// <summary>The tree of pages, the printing condition, and what the file says of itself.</summary>
    internal static void Finish(PdfWriter pdf, PdfRef tree, IReadOnlyList<PdfRef> kids, PressPlan plan, House house,
        DocumentInfo note,
        bool rightToLeft = false)
    {
        pdf.Object(tree, PressObjects.Tree(kids));

        // A printing condition is said by what is in its inks; what is in a screen's colours is for eyes.
        var intents = plan.InRgb ? null : PdfArray.Of(Intent(pdf, plan, house));
        var meta = plan.Kind.Naming == Naming.Info ? null
            : pdf.Stream(pdf.Reserve(), new() { ["Type"] = "Metadata", ["Subtype"] = "XML" },
                s => s.Write(Encoding.UTF8.GetBytes(XmpPacket.Of(note, plan.Kind))), compress: false);
        var catalog = pdf.Object(new PdfDict
        {
            ["Type"] = "Catalog",
            ["Pages"] = tree,
            ["Metadata"] = meta,
            ["OutputIntents"] = intents,
            ["ViewerPreferences"] = rightToLeft ? new PdfDict { ["Direction"] = "R2L" } : null,
        });
        pdf.Finish(catalog, pdf.Object(new PdfDict
        {
            ["Title"] = PdfString.Text(note.Title),
            ["Author"] = PdfString.Text(note.Author),
            ["Subject"] = PdfString.Text(note.Subject),
            ["Creator"] = PdfString.Text(Maker),
            ["Producer"] = PdfString.Text(Maker),
            ["CreationDate"] = PdfString.Date(note.At),
            ["ModDate"] = PdfString.Date(note.At),
            ["Trapped"] = "False",
            ["GTS_PDFXVersion"] = plan.Kind.Naming == Naming.Info ? PdfString.Text(plan.Kind.Title) : null,
        }));
    }

    /// <summary>Faces under their names, in the order they were first used.</summary>
    internal static PdfDict Fonts(IEnumerable<EmbeddedFont> faces)
    {
        var fonts = new PdfDict();
        foreach (var face in faces.OrderBy(f => f.Reference.Number)) fonts.Set(face.Name, face.Reference);
        return fonts;
    }

    /// <summary>
    /// The printing condition (ISO 32000-1, 14.11.5). PDF/X-4 carries its profile; PDF/X-1a may name a registered
    /// condition alone (ISO 15930-4, 6.5).
    /// </summary>
    private static PdfRef Intent(PdfWriter pdf, PressPlan plan, House house)
    {
        var registered = IsRegistered(house.OutputCondition);
        var embedded = house.ProfileEmbedded || !plan.Kind.NamesCondition || !registered;
        var profile = embedded ? pdf.Stream(new() { ["N"] = 4 }, Profiles.Bytes(house.Profile)) : null;
        return pdf.Object(new PdfDict
        {
            ["Type"] = "OutputIntent",
            ["S"] = "GTS_PDFX",
            ["OutputConditionIdentifier"] = PdfString.Text(house.OutputCondition),
            ["RegistryName"] = registered ? PdfString.Text("http://www.color.org") : null,
            ["Info"] = PdfString.Text(house.OutputCondition),
            ["DestOutputProfile"] = profile,
        });
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
