using Lumbeck.Intake.Opening;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Judging;

/// <summary>Every face that words are set in is in the file.</summary>
internal static class FaceChecks
{
    public static void Look(Pdf pdf, PageUse use, House house, Findings found)
    {
        foreach (var (name, font) in use.Faces)
        {
            var subtype = pdf.Name(font, "Subtype");
            if (subtype == "Type3") continue;
            var own = subtype == "Type0"
                ? pdf.Items(pdf.Get(font, "DescendantFonts")).OfType<DictionaryToken>().FirstOrDefault()
                : font;
            var described = pdf.Dictionary(own, "FontDescriptor");
            if (pdf.Get(described, "FontFile", "FontFile2", "FontFile3") is not StreamToken file)
                found.Stop("face.embedded", name, "embedded",
                    "A face that is not in the file is replaced by another at the printer’s.");
            else if (file.Data.Length < 64)
                found.Stop("face.embedded", $"{name}, broken", "embedded", "The face in the file is empty or broken.");
        }
        if (house.OutlinesOnly && use.Words)
            found.Stop("face.outlines", "live type", "outlines", $"{house.Name} takes type as outlines only.");
    }
}
