using System.Xml.Linq;

namespace Lumbeck.Desk.Tests;

/// <summary>Who may refer to whom.</summary>
public sealed class StructureTests
{
    private static readonly Dictionary<string, string[]> Allowed = new()
    {
        ["Core"] = [],
        ["Press"] = ["Core"],
        ["Intake"] = ["Core"],
        ["Store"] = ["Core"],
        ["Desk"] = ["Core", "Press", "Intake", "Store"],
        ["Web"] = ["Desk"],
        ["Cli"] = ["Desk"],
    };

    private static string Root
    {
        get
        {
            var d = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(d.FullName, "Lumbeck.slnx"))) d = d.Parent!;
            return d.FullName;
        }
    }

    [Fact]
    public void Every_project_refers_only_to_those_it_may()
    {
        var projects = Directory.GetFiles(Path.Combine(Root, "src"), "*.csproj", SearchOption.AllDirectories);
        projects.Length.ShouldBe(Allowed.Count);
        foreach (var file in projects)
        {
            var name = Path.GetFileNameWithoutExtension(file)["Lumbeck.".Length..];
            var refers = XDocument.Load(file).Descendants("ProjectReference").Select(r => Path.GetFileNameWithoutExtension(r.Attribute("Include")!.Value)["Lumbeck.".Length..]).Order();
            refers.ShouldBe(Allowed[name].Order(), name);
        }
    }

    [Fact]
    public void Core_has_no_package_no_file_no_clock_and_no_chance_in_it()
    {
        var core = Path.Combine(Root, "src", "Lumbeck.Core");
        XDocument.Load(Path.Combine(core, "Lumbeck.Core.csproj")).Descendants("PackageReference").ShouldBeEmpty();
        foreach (var file in Directory.GetFiles(core, "*.cs", SearchOption.AllDirectories).Where(f => !f.Contains("/obj/", StringComparison.Ordinal)))
        {
            var text = File.ReadAllText(file);
            foreach (var word in new[] { "File.", "Directory.", "DateTime.", "DateTimeOffset.Now", "Guid.NewGuid", "Random", "CurrentCulture", "Environment.", "DllImport", "LibraryImport", "HttpClient" })
                System.Text.RegularExpressions.Regex.IsMatch(text, $@"(?<![\w.]){System.Text.RegularExpressions.Regex.Escape(word)}").ShouldBeFalse($"{Path.GetFileName(file)} has {word}");
        }
    }

    [Fact]
    public void Intake_shares_no_code_with_the_writer()
    {
        // Not even by way of another: Intake's only door is Core, which knows nothing of PDF.
        foreach (var file in Directory.GetFiles(Path.Combine(Root, "src", "Lumbeck.Core"), "*.cs", SearchOption.AllDirectories).Where(f => !f.Contains("/obj/", StringComparison.Ordinal)))
            File.ReadAllText(file).ShouldNotContain("endobj");
    }
}
