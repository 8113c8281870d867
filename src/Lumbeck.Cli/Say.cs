using System.Text.Encodings.Web;
using System.Text.Json;

namespace Lumbeck.Cli;

/// <summary>How the command line speaks: sentences for people, JSON for programs.</summary>
internal static class Say
{
    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        PropertyNamingPolicy = JsonNamingPolicy.SnakeCaseLower
    };

    public static void Json(object value) => Console.WriteLine(JsonSerializer.Serialize(value, Indented));

    /// <summary>The full path of a file to write.</summary>
    /// <exception cref="Refusal">Its folder is not there, or it is one.</exception>
    public static string Target(string typed)
    {
        var file = Path.GetFullPath(typed);
        if (!Directory.Exists(Path.GetDirectoryName(file)))
            throw new Refusal("--out", $"--out: there is no folder {Path.GetDirectoryName(file)}");
        return Directory.Exists(file) ? throw new Refusal("--out", $"--out: {file} is a folder: name a file") : file;
    }

    /// <summary>Writes a file aside and then names it, so that a half-written file never bears the name.</summary>
    public static void Written(string file, Action<Stream> write)
    {
        var aside = file + ".part";
        try
        {
            using (var s = File.Create(aside)) write(s);
            File.Move(aside, file, overwrite: true);
        }
        finally { File.Delete(aside); }
    }

    /// <summary>A finding in a line: how grave it is, which, and what is wanted.</summary>
    public static string Finding(Finding f) =>
        $"{(f.Waived is null ? f.Severity.Word() : "waived"),-8} {f.Id,-18} {f.Measured}; wanted: {f.Limit}. {f.Why}" +
        (f.Waived is { } why ? $" Waived: {why}" : "");

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
