using System.Text.Encodings.Web;
using System.Text.Json;

namespace Lumbeck.Cli;

/// <summary>How the command line speaks: sentences for people, JSON for programs.</summary>
internal static class Say
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true, Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping, PropertyNamingPolicy = JsonNamingPolicy.SnakeCaseLower };

    public static void Json(object value) => Console.WriteLine(JsonSerializer.Serialize(value, Indented));

    public static string Sentence(string text)
    {
        var one = text.ReplaceLineEndings(" ").Trim();
        return one.EndsWith('.') ? one : one + ".";
    }

    /// <summary>Millimetres to a millionth, as the vectors have them.</summary>
    public static decimal Mm(Length length) => Math.Round(length.Millimetres, 6);
    public static decimal[] Mm(Box b) => [Mm(b.X), Mm(b.Y), Mm(b.Width), Mm(b.Height)];
    public static decimal[] Mm(Size s) => [Mm(s.Width), Mm(s.Height)];
}
