using System.CommandLine;
using Lumbeck.Desk;
using Lumbeck.Running;

namespace Lumbeck.Cli;

/// <summary>Orders as files: written by <c>press</c> and <c>check</c>, and done by <c>work</c>.</summary>
internal static class OrderVerbs
{
    /// <summary>Writes an order.</summary>
    public static int Write(Desk.AppServices desk, Order order, string typed)
    {
        var file = Say.Target(typed);
        Say.Written(file, s => desk.Pressing.WriteOrder(order, s));
        Console.WriteLine($"{file}: the order, {new FileInfo(file).Length / 1000} kB. Do it with `lumbeck work`.");
        return 0;
    }

    public static Command Work()
    {
        var fileArgument = new Argument<string>("FILE") { Description = "an order, as press and check write it" };
        var toOption = new Option<string>("--to") { Description = "the folder for what is made", Required = true };
        var asJson = new Option<bool>("--json") { Description = "as JSON" };
        var c = new Command("work", "Does an order by itself: a file and a verdict.")
        {
            fileArgument,
            toOption,
            asJson,
        };
        c.SetAction(async (p, cancel) =>
        {
            var file = Path.GetFullPath(p.GetValue(fileArgument)!);
            if (!File.Exists(file)) throw new Refusal("FILE", $"there is no file {file}");
            var to = Path.GetFullPath(p.GetValue(toOption)!);
            if (!Directory.Exists(to)) throw new Refusal("--to", $"--to: there is no folder {to}");
            // A folder of its own: what the order brings is taken in there, and goes with it.
            var folder = Aside.Folder().FullName;
            try
            {
                var press = new Desk.AppServices(folder, TimeProvider.System).Pressing;
                await using var input = File.OpenRead(file);
                var order = await press.ReadOrder(input);
                var made = OrderKinds.Do(press, order, _ => cancel.ThrowIfCancellationRequested(), cancel);
                return Told(made, to, p.GetValue(asJson));
            }
            finally
            {
                Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
                Directory.Delete(folder, recursive: true);
            }
        });
        return c;
    }

    /// <returns>0 where the house accepts it and nothing stops the press, else 1.</returns>
    private static int Told(Made made, string to, bool asJson)
    {
        var target = made.Path is null ? null : Path.Combine(to, made.Name);
        if (target is not null) Say.Written(target, s => { using var f = File.OpenRead(made.Path!); f.CopyTo(s); });
        var found = made.Found is { } findings ? Readiness.Of(findings) : null;
        var (stops, cautions, todos) = made.Pressed is { } row
            ? (row.Stops, row.Cautions, row.Todos)
            : found is null ? default((long, long, long)) : (found.Stops, found.Cautions, found.Todos);
        if (asJson)
            Say.Json(new
            {
                file = target,
                sha256 = made.Pressed?.File,
                accepted = made.Pressed?.Accepted,
                verdict = made.Pressed?.Verdict,
                stops,
                cautions,
                todos,
                findings = made.Found?.Select(f =>
                    new { f.Id, severity = f.Severity.Word(), f.Item, f.Measured, f.Limit, f.Why }),
            });
        else
        {
            if (target is not null) Console.WriteLine($"{target}: {new FileInfo(target).Length / 1000} kB.");
            foreach (var f in made.Found ?? [])
                Console.WriteLine(Say.Finding(f));
            if (found is not null) Console.WriteLine($"{found.Say()}.");
            if (made.Pressed is { Verdict.Length: > 0 } judged) Console.WriteLine($"{judged.House}: {judged.Verdict}.");
        }
        return made.Pressed?.Accepted == false || stops + todos > 0 ? 1 : 0;
    }
}
