using System.Diagnostics;
using Lumbeck.Running;

namespace Lumbeck.Press.Tests;

/// <summary>
/// Programs of others: bounded, in a session of their own, gone with whoever asked. Read from the program itself.
/// </summary>
public sealed class ForeignProgramTests : IDisposable
{
    private readonly string _folder = Aside.Folder().FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private string At(string name) => Path.Combine(_folder, name);

    private static bool IsThere(string pid) => Directory.Exists("/proc/" + pid)
        // What has ended and is not waited for by anybody is no program any more.
        && !File.ReadAllText($"/proc/{pid}/stat").Contains(") Z ", StringComparison.Ordinal);

    private static void Until(Func<bool> so) => SpinWait.SpinUntil(so, TimeSpan.FromMinutes(2)).ShouldBeTrue();

    private string Read(string name)
    {
        Until(() => File.Exists(At(name)) && File.ReadAllText(At(name)).EndsWith('\n'));
        return File.ReadAllText(At(name)).Trim();
    }

    [Fact]
    public void Its_bounds_stand_in_the_program_that_was_started()
    {
        ForeignProgram.Run("/bin/sh", ["-c",
            "cat /proc/self/limits > limits; cut -d' ' -f4-6 /proc/self/stat > group; echo $PPID > parent"],
            new(500_000, 7, TimeSpan.FromMinutes(1), FileMegabytes: 3), _folder).IsWell.ShouldBeTrue();
        var limits = File.ReadAllLines(At("limits"));
        string[] of(string what) => limits.Single(l => l.StartsWith(what, StringComparison.Ordinal))[what.Length..]
            .Split(' ', StringSplitOptions.RemoveEmptyEntries);
        of("Max address space")[0].ShouldBe("512000000");
        of("Max cpu time")[0].ShouldBe("7");
        of("Max file size")[0].ShouldBe("3072000");
        // Parent, group, session: those of the shell that watches, not of this process.
        var parent = File.ReadAllText(At("parent")).Trim();
        File.ReadAllText(At("group")).Trim().Split(' ')[1..].ShouldBe([parent, parent]);
        parent.ShouldNotBe(Environment.ProcessId.ToString(CultureInfo.InvariantCulture));
    }

    [Theory]
    // Memory, processor, the clock, and a file without end.
    [InlineData("x=x; while :; do x=$x$x; done")]
    [InlineData("while :; do :; done")]
    [InlineData("sleep 600")]
    [InlineData("cat /dev/zero > endless")]
    [InlineData("exit 3")]
    public void What_goes_over_a_bound_has_not_ended_well(string does)
    {
        var clock = does.StartsWith("sleep",
            StringComparison.Ordinal) ? TimeSpan.FromSeconds(0.5) : TimeSpan.FromMinutes(2);
        ForeignProgram.Run("/bin/sh", ["-c", $"echo $$ > pid; {does}"], new(300_000, 1, clock, FileMegabytes: 2), _folder).IsWell
            .ShouldBeFalse();
        Until(() => !IsThere(Read("pid")));
    }

    [Fact]
    public async Task Whoever_asked_and_has_gone_takes_it_along_and_what_it_began()
    {
        using var cancel = new CancellationTokenSource();
        var run = Task.Run(() => ForeignProgram.Run("/bin/sh", ["-c",
            "sleep 600 & echo $! > second; echo $$ > first; wait"],
            new(500_000, 60, TimeSpan.FromMinutes(9)), _folder, cancel.Token));
        string[] pids = [Read("first"), Read("second")];
        cancel.Cancel();
        await Should.ThrowAsync<OperationCanceledException>(() => run);
        Until(() => !pids.Any(IsThere));
    }

    [Fact]
    public void What_a_program_left_that_is_gone_is_swept_and_what_is_another_s_stays()
    {
        var gone = Directory.CreateDirectory(At($"lumbeck-of-{int.MaxValue}-1-abc"));
        File.WriteAllText(Path.Combine(gone.FullName, "x"), "x");
        File.WriteAllText(At($"lumbeck-of-{int.MaxValue}-1-file"), "x");
        var mine = Directory.CreateDirectory(Path.Combine(_folder, Path.GetFileName(Aside.FilePath())));
        var other = Directory.CreateDirectory(At("lumbeck-abc"));
        Aside.Sweep(_folder);
        gone.Refresh();
        gone.Exists.ShouldBeFalse();
        File.Exists(At($"lumbeck-of-{int.MaxValue}-1-file")).ShouldBeFalse();
        (Directory.Exists(mine.FullName), Directory.Exists(other.FullName)).ShouldBe((true, true));
    }
}
