using System.Text.Json;
using Lumbeck.Desk.Making;

namespace Lumbeck.Desk.Tests;

/// <summary>Finished files mended on the command line, as a person runs it.</summary>
public sealed class MendVerbTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private (int Exit, string Out, string Error) Run(params string[] arguments) => CommandLine.Run(_folder, arguments);

    private const string Drawing = """
        <svg xmlns="http://www.w3.org/2000/svg" width="255.8mm" height="196mm" viewBox="0 0 255.8 196">
        <rect width="255.8" height="196" fill="#dfeee9"/><circle cx="190" cy="90" r="40" fill="#c0392b"/>
        <path d="M20 150 H110" stroke="#000" stroke-width="1"/></svg>
        """;

    /// <summary>A file in a screen's colours comes back in inks, reception takes it, and what was decided is taken
    /// over.</summary>
    [Fact]
    public void A_finished_file_is_mended_kept_and_its_next_version_takes_over_what_was_decided()
    {
        var (came, left) = (Path.Combine(_folder, "came.pdf"), Path.Combine(_folder, "left.pdf"));
        Run("press", "pass", "--kind", "pdf", "--rgb", "--out", came).Exit.ShouldBe(0);
        string[] decided = ["--keep", "--percent", "102", "--right", "1mm"];
        Run(["mend", came, "--job", "pass", .. decided, "--out", left, "--json"]).ShouldSatisfyAllConditions(r =>
            r.Exit.ShouldBe(0, r.Error), r =>
        {
            using var told = JsonDocument.Parse(r.Out);
            told.RootElement.GetProperty("accepted").GetBoolean().ShouldBeTrue();
            told.RootElement.GetProperty("lines").EnumerateArray().Select(l => l.GetProperty("id").GetString())
                .ShouldContain("colour");
        });
        Run("mend", came, "--job", "pass", "--keep", "--out", left).Out.ShouldSatisfyAllConditions(
            o => o.ShouldContain("By your hand: 102 %, 1 mm to the right"), o =>
                o.ShouldContain("No page looks other than in the version"));
        var desk = new AppServices(Path.Combine(_folder, "data"), TimeProvider.System);
        desk.Pressing.Mended(desk.Jobs.Job("pass")).Select(m => MendDesk.Decided(m.Row).Percent).ShouldBe([102m, 102m]);
        // As an inside it is one page of another size.
        Run("mend", came, "--job", "pass", "--inside", "--out", left).ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(1),
            r => r.Out.ShouldContain("laid in the middle"), r => r.Out.ShouldContain("the ticket says 176"));
        File.Delete(left);
        File.WriteAllText(came, "no PDF");
        Run("mend", came, "--job", "pass", "--out", left).ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(2),
            r => r.Error.ShouldContain("this is no PDF"));
        File.Exists(left).ShouldBeFalse();
        Run("mend", came, "--job", "pass", "--out", came).Error.ShouldContain("name another");
        Run("mend", came, "--job", "pass", "--percent", "3", "--out", left).Error.ShouldContain("10 to 1000 %");
    }

    [Fact]
    public void A_folder_of_files_and_pictures_is_mended_for_a_book_that_has_no_job()
    {
        var (from, to) = (Directory.CreateDirectory(Path.Combine(_folder, "from")).FullName, Path.Combine(_folder, "to"));
        File.WriteAllText(Path.Combine(from, "drawn.svg"), Drawing);
        File.WriteAllText(Path.Combine(from, "broken.pdf"), "no PDF");
        File.WriteAllText(Path.Combine(from, "notes.txt"), "not taken");
        string[] book = ["--house", "plover", "--binding", "paperback", "--trim", "120x190mm", "--pages", "176"];
        Run(["mend", from, .. book, "--out", to]).ShouldSatisfyAllConditions(r => r.Exit.ShouldBe(2),
            r => r.Error.ShouldContain("broken.pdf: "), r =>
                r.Out.ShouldContain("drawn.pdf: 1 page, Plover Street Reprographics: accepted"));
        Directory.GetFiles(to).Select(Path.GetFileName).ShouldBe(["drawn.pdf"]);
        Run("mend", Path.Combine(from, "drawn.svg"), "--out", Path.Combine(_folder, "x.pdf"))
            .Error.ShouldContain("--house the printer");
    }
}
