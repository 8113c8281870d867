namespace Lumbeck.Desk.Tests;

/// <summary>
/// Long lines hide their idea. What may be longer is a table of data in a file of its own, a page of the manual and
/// what is written from other code.
/// </summary>
public sealed class LinesTests
{
    private const int Long = 140, Usual = 120;

    [Theory]
    [InlineData(".cs")]
    [InlineData(".cshtml")]
    [InlineData(".ts")]
    public void No_line_is_long(string kind)
    {
        var lines = Lines(kind).ToList();
        lines.Count.ShouldBeGreaterThan(1000);
        lines.Where(l => l.Length > Long).ShouldBeEmpty($"lines over {Long}: give each thought a line of its own");
    }

    [Fact]
    public void Ninety_nine_of_a_hundred_lines_are_under_the_usual_length()
    {
        var lines = Lines(".cs").ToList();
        lines.Count(l => l.Length > Usual).ShouldBeLessThan(lines.Count / 100);
    }

    [Theory]
    [InlineData(".cs")]
    [InlineData(".cshtml")]
    [InlineData(".ts")]
    public void Lines_are_set_with_spaces_and_end_with_a_character(string kind) =>
        Lines(kind).Where(l => l.Contains('\t') || l.EndsWith(' ')).ShouldBeEmpty();

    [Fact]
    public void A_file_has_one_namespace()
    {
        var said = Lines(".cs").Where(l => l.StartsWith("namespace ", StringComparison.Ordinal)).ToList();
        said.Count.ShouldBeGreaterThan(500);
        said.ShouldAllBe(l => l.EndsWith(';'));
    }

    private static IEnumerable<string> Lines(string kind)
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        return ((string[])["src", "tests", "benchmarks", "art"])
            .SelectMany(folder => Directory.EnumerateFiles(Path.Combine(root.FullName, folder), "*" + kind, SearchOption.AllDirectories))
            .Where(file => !file.Split(Path.DirectorySeparatorChar).Any(p => p is "obj" or "bin" or "node_modules" or "wwwroot"))
            .SelectMany(File.ReadLines);
    }
}
