using System.Xml.Linq;

namespace Lumbeck.Desk.Tests;

/// <summary>Who may refer to whom.</summary>
public sealed class StructureTests
{
    private static readonly Dictionary<string, string[]> Allowed = new()
    {
        ["Core"] = [],
        ["Caching"] = [],
        ["Running"] = [],
        ["Pdf"] = ["Running"],
        ["Press"] = ["Core", "Caching", "Pdf", "Running"],
        ["Intake"] = ["Core", "Running"],
        ["Store"] = ["Core", "Caching"],
        ["Desk"] = ["Core", "Caching", "Running", "Press", "Intake", "Store"],
        ["Web"] = ["Caching", "Desk"],
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
            var refers = XDocument.Load(file).Descendants("ProjectReference")
                .Select(r => Path.GetFileNameWithoutExtension(r.Attribute("Include")!.Value)["Lumbeck.".Length..])
                .Order();
            refers.ShouldBe(Allowed[name].Order(), name);
        }
    }

    [Fact]
    public void Core_has_no_package_no_file_no_clock_and_no_chance_in_it()
    {
        var core = Path.Combine(Root, "src", "Lumbeck.Core");
        XDocument.Load(Path.Combine(core, "Lumbeck.Core.csproj")).Descendants("PackageReference").ShouldBeEmpty();
        foreach (var file in Directory.GetFiles(core, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal)))
        {
            var text = File.ReadAllText(file);
            foreach (var word in new[] { "File.", "Directory.", "DateTime.", "DateTimeOffset.Now", "Guid.NewGuid",
                "Random", "CurrentCulture", "Environment.", "DllImport", "LibraryImport", "HttpClient" })
                System.Text.RegularExpressions.Regex.IsMatch(text,
                    $@"(?<![\w.]){System.Text.RegularExpressions.Regex.Escape(word)}")
                    .ShouldBeFalse($"{Path.GetFileName(file)} has {word}");
        }
    }

    [Fact]
    public void Intake_shares_no_code_with_the_writer()
    {
        // Not even by way of another: whatever Intake refers to of ours refers neither to PDF's layer nor to the press.
        var (open, seen) = (new Stack<System.Reflection.Assembly>([typeof(Intake.IntakeDesk).Assembly]), new HashSet<string>());
        while (open.TryPop(out var assembly))
            foreach (var name in assembly.GetReferencedAssemblies()
                .Where(a => a.Name!.StartsWith("Lumbeck.", StringComparison.Ordinal) && seen.Add(a.Name)))
                open.Push(System.Reflection.Assembly.Load(name));
        seen.ShouldBe(["Lumbeck.Core", "Lumbeck.Running"], ignoreOrder: true);
    }

    /// <summary>Core's layers, the lowest first: nothing refers to one that stands after its own.</summary>
    private static readonly string[] Layers =
    [
        "", "Measures", "Stored", "Colour", "Outlines", "Trade.Stock", "Trade.Files", "Trade.Houses", "Trade.Geometry",
            "Trade.Insides", "Trade.Calendars", "Trade.Barcodes", "Trade.Explaining",
        "Type.Letters", "Type", "Art.Fields", "Art.Sketches", "Art.Pictures", "Art.Patterns", "Art.Ornaments",
            "Art.Vistas", "Art.Puzzles",
            "Art.PageDesigns", "Art.Items", "Document.Insides", "Document",
        "Drawing.Marked", "Drawing.Sketched", "Drawing", "Drawing.Pages", "Drawing.Spine",
            "Drawing.Views",
        "Edits", "Edits.OfText", "Edits.OfTicket", "Edits.OfInside", "Edits.OfCovers", "Edits.OfItems",
            "Edits.OfPictures",
            "Edits.AsTyped", "Edits.Doors",
        "Liveries", "Liveries.Fiction", "Liveries.Uses", "Liveries.Shelf",
        "Checks", "Checks.OfTicket", "Checks.OfZones", "Checks.OfInk", "Checks.OfText", "Checks.OfPictures",
            "Checks.OfBarcodes", "Checks.OfPages", "Checks.OfDrawn", "Checks.RuleBook",
    ];

    private static string Folder(string type, string project) =>
        type[..type.LastIndexOf('.')] is var space && space == "Lumbeck." + project
            ? ""
            : space["Lumbeck.".Length..][(project.Length + 1)..];

    private static IEnumerable<(string From, string To)> Own(System.Reflection.Assembly assembly, string project) =>
        References.Of(assembly)
            .Where(e =>
                e.From.StartsWith($"Lumbeck.{project}.", StringComparison.Ordinal)
                    && e.To.StartsWith($"Lumbeck.{project}.", StringComparison.Ordinal));

    [Fact]
    public void Every_layer_of_Core_refers_only_to_those_below_it()
    {
        var up = Own(typeof(Refusal).Assembly, "Core")
            .Where(e => Array.IndexOf(Layers, Folder(e.To, "Core")) > Array.IndexOf(Layers, Folder(e.From, "Core")))
            .ToList();
        up.ShouldBeEmpty();
        Own(typeof(Refusal).Assembly, "Core").SelectMany(e => new[] { Folder(e.From, "Core"), Folder(e.To, "Core") })
            .Distinct().Except(Layers)
            .ShouldBeEmpty("every folder has its layer");
    }

    public static TheoryData<string> Projects() => ["Pdf", "Press", "Intake", "Desk", "Web"];

    [Theory]
    [MemberData(nameof(Projects))]
    public void No_folders_refer_to_each_other_in_a_circle(string project)
    {
        // The web's assembly lies beside no test of this project: each is read where it was built last.
        var here = Path.Combine(AppContext.BaseDirectory, $"Lumbeck.{project}.dll");
        var built = Path.Combine(Root, "src", $"Lumbeck.{project}", "bin",
            new DirectoryInfo(AppContext.BaseDirectory).Parent!.Name, "net10.0", $"Lumbeck.{project}.dll");
        var next = Own(System.Reflection.Assembly.LoadFrom(File.Exists(here) ? here : built), project)
            .Select(e => (From: Folder(e.From, project), To: Folder(e.To, project))).Where(e => e.From != e.To)
                .ToLookup(e => e.From, e => e.To);
        next.Count.ShouldBeGreaterThan(0);
        var (done, path) = (new HashSet<string>(), new List<string>());
        void walk(string folder)
        {
            path.Contains(folder).ShouldBeFalse($"{string.Join(" > ", path)} > {folder}");
            if (!done.Add(folder)) return;
            path.Add(folder);
            foreach (var to in next[folder].Distinct()) walk(to);
            path.RemoveAt(path.Count - 1);
        }
        foreach (var folder in next.Select(g => g.Key)) walk(folder);
    }

    /// <summary>
    /// What is asked of every kind of mark is asked by a visitor: a new kind does not build until it answers.
    /// </summary>
    [Fact]
    public void Nothing_switches_on_the_kind_of_a_mark()
    {
        const string kinds = "(Fill|Gradient|Line|Glyph|Blurred|Picture|Tiles|Grown|Repeated|Drawing)Mark";
        // An arm of a switch: after `case`, or at the head of a line that leads on to its outcome.
        var arm = new System.Text.RegularExpressions.Regex(
            $@"case\s+{kinds}\b|^\s*{kinds}\b[^;(]*=>", System.Text.RegularExpressions.RegexOptions.Multiline);
        arm.IsMatch("            case FillMark f:").ShouldBeTrue();
        arm.IsMatch("        FillMark { Overprint: true } f => f.Ink,").ShouldBeTrue();
        foreach (var file in Sources()) arm.Matches(File.ReadAllText(file)).Select(m => m.Value).ShouldBeEmpty(file);
    }

    /// <summary>
    /// Each door turns a refusal into an answer in one place, and where a refusal is an answer it is tried by
    /// <c>Attempt</c>: what is caught beside these undoes what was begun.
    /// </summary>
    [Fact]
    public void Refusals_are_caught_in_few_places()
    {
        var caught = new System.Text.RegularExpressions.Regex(
            @"catch \(((?:Lumbeck\.Core\.)?Refusal|Exception \w+\) when \(\w+ is (?!not )[^)]*\bRefusal\b)");
        caught.IsMatch("catch (Refusal) { }").ShouldBeTrue();
        caught.IsMatch("catch (Exception e) when (e is IOException or Refusal) { }").ShouldBeTrue();
        var files = Directory.GetFiles(Path.Combine(Root, "src"), "*.cshtml", SearchOption.AllDirectories)
            .Concat(Sources()).ToList();
        files.SelectMany(f => caught.Matches(File.ReadAllText(f)).Select(m => $"{Path.GetFileName(f)}: {m.Value}"))
            .ToList().Count.ShouldBeInRange(5, 12);
        foreach (var file in files) File.ReadAllText(file).ShouldNotContain("catch (NullReferenceException", Case.Sensitive, file);
    }

    private static IEnumerable<string> Sources() => Directory.GetFiles(Path.Combine(Root, "src"), "*.cs",
        SearchOption.AllDirectories).Where(f => !f.Contains("/obj/", StringComparison.Ordinal));

    [Fact]
    public void Views_are_given_plain_values_and_ask_no_service()
    {
        var views = Directory.GetFiles(Path.Combine(Root, "src", "Lumbeck.Web"), "*.cshtml",
            SearchOption.AllDirectories);
        views.Length.ShouldBeGreaterThan(30);
        foreach (var view in views)
            System.Text.RegularExpressions.Regex.IsMatch(File.ReadAllText(view),
                @"(?<![.\w])_?desk\.|(Model|v)\.Desk\b")
                .ShouldBeFalse(Path.GetFileName(view));
    }

    private static IEnumerable<string> Folders(params string[] path) =>
        Directory.GetDirectories(Path.Combine([Root, .. path]), "*", SearchOption.AllDirectories)
            .Append(Path.Combine([Root, .. path]))
            .Where(f => !System.Text.RegularExpressions.Regex.IsMatch(f, "/(obj|bin|node_modules|wwwroot)(/|$)"));

    [Fact]
    public void No_folder_holds_more_than_can_be_seen_at_once()
    {
        foreach (var folder in Folders("src"))
        {
            Directory.GetFiles(folder, "*.cs").Length.ShouldBeLessThanOrEqualTo(16, folder);
            Directory.GetFiles(folder, "*.ts").Length.ShouldBeLessThanOrEqualTo(13, folder);
            if (!folder.EndsWith("/Pages", StringComparison.Ordinal))
                Directory.GetFiles(folder, "*.cshtml").Length.ShouldBeLessThanOrEqualTo(12, folder);
        }
    }

    /// <summary>Of one idea each; tables alone may be longer.</summary>
    [Fact]
    public void No_file_is_longer_than_can_be_read_at_once()
    {
        string[] tables = ["HouseKeys.cs"];
        var files = Folders("src").SelectMany(f => Directory.GetFiles(f, "*.cs").Concat(Directory.GetFiles(f,
            "*.cshtml")))
            .Where(f => !tables.Contains(Path.GetFileName(f))).ToList();
        files.Count.ShouldBeGreaterThan(500);
        foreach (var file in files) File.ReadLines(file).Count().ShouldBeLessThanOrEqualTo(301, file);
    }

    /// <summary>Scripts import each other one way alone, and none is longer than can be read at once.</summary>
    [Fact]
    public void Scripts_import_each_other_in_no_circle()
    {
        var client = Path.Combine(Root, "src", "Lumbeck.Web", "Client");
        var imports = Directory.GetFiles(client, "*.ts", SearchOption.AllDirectories).ToDictionary(f => f, f =>
            System.Text.RegularExpressions.Regex.Matches(File.ReadAllText(f), @"(?:from|import) '(\.[^']+)'")
                .Select(m => Path.GetFullPath(Path.Combine(Path.GetDirectoryName(f)!, m.Groups[1].Value + ".ts")))
                .ToArray());
        imports.Count.ShouldBeGreaterThan(30);
        var done = new HashSet<string>();
        void walk(string file, ImmutableList<string> way)
        {
            way.ShouldNotContain(file, $"a circle: {string.Join(" → ", way.Add(file).Select(Path.GetFileName))}");
            if (done.Contains(file) || !imports.TryGetValue(file, out var on)) return;
            foreach (var next in on) walk(next, way.Add(file));
            done.Add(file);
        }
        foreach (var file in imports.Keys)
        {
            walk(file, []);
            File.ReadLines(file).Count().ShouldBeLessThanOrEqualTo(300, Path.GetFileName(file));
        }
    }
}
