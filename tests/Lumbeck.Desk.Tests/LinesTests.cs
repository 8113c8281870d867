namespace Lumbeck.Desk.Tests;

/// <summary>Long lines hide their idea. Those of before are set out as their files are worked on: there are never more of them.</summary>
public sealed class LinesTests
{
    private const int Long = 140;

    [Theory]
    [InlineData("src", 2189)]
    [InlineData("tests", 785)]
    [InlineData("benchmarks", 90)]
    public void No_more_lines_are_long_than_there_were(string folder, int most)
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        var (over, files) = (0, 0);
        foreach (var file in Directory.EnumerateFiles(Path.Combine(root.FullName, folder), "*", SearchOption.AllDirectories))
        {
            if (Path.GetExtension(file) is not (".cs" or ".cshtml" or ".ts")) continue;
            if (file.Split(Path.DirectorySeparatorChar).Any(p => p is "obj" or "bin" or "node_modules" or "wwwroot")) continue;
            files++;
            over += File.ReadLines(file).Count(l => l.Length > Long);
        }
        files.ShouldBeGreaterThan(5);
        over.ShouldBeLessThanOrEqualTo(most, $"lines over {Long} in {folder}: give each thought a line of its own");
    }
}
