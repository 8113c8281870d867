using System.CommandLine;

namespace Lumbeck.Cli;

/// <summary>The facts of a book: told, and set.</summary>
internal static class TicketVerbs
{
    private const string Before = "ticket/";
    private static readonly Option<string> Data = new("--data") { Description = "the data folder" };

    public static Command Ticket()
    {
        var job = new Argument<string>("JOB") { Description = "a job's short name or id" };
        var json = new Option<bool>("--json") { Description = "as JSON" };
        var set = new Option<string[]>("--set")
        {
            Description = "a fact and its text, as `blurb=A winter on the Ennor.`; may be given again",
        };
        var portrait = new Option<string?>("--portrait") { Description = "the author's picture: a file" };
        var mark = new Option<string?>("--mark") { Description = "the imprint's mark: a file" };
        var c = new Command("ticket", "Says the facts of a book, and sets them.") { job, json, set, portrait, mark, Data };
        c.SetAction(async (p, cancel) =>
        {
            var desk = JobVerbs.Open(p, Data);
            var on = desk.Jobs.Job(p.GetValue(job)!);
            List<Func<Job, Edit>> edits = [.. (p.GetValue(set) ?? []).Select(Read)];
            foreach (var (which, file) in new[] { (TicketPicture.Portrait, p.GetValue(portrait)), (TicketPicture.Mark, p.GetValue(mark)) })
            {
                if (file is null) continue;
                var path = Path.GetFullPath(file);
                if (!File.Exists(path)) throw new Refusal("--" + which, $"there is no file {path}");
                await using var s = File.OpenRead(path);
                var picture = await desk.Drawer.Pictures.TakeIn(s, Path.GetFileName(path), cancel);
                edits.Add(_ => new SetTicketPicture(which, picture));
            }
            // All or nothing: what can't be read leaves the ticket as it was.
            if (edits.Count > 0)
                desk.Jobs.Apply(on.Slug, new(Guid.NewGuid().ToString(), "command line",
                    now => Together.Of(now, edits, n => $"{n} facts of the ticket")));
            Tell(desk.Jobs.Job(on.Slug).Job, p.GetValue(json));
            return 0;
        });
        return c;
    }

    private static Func<Job, Edit> Read(string asked)
    {
        var at = asked.IndexOf('=', StringComparison.Ordinal);
        var key = at < 0 ? asked : asked[..at].Trim();
        if (at < 0 || TicketFacts.All.All(f => f.Path != Before + key))
            throw new Refusal("--set", $"--set: `{LengthText.Clip(asked)}` is no fact and its text: take " +
                $"{string.Join(", ", TicketFacts.All.Select(f => f.Path[Before.Length..]))}, as `blurb=…`");
        return job => Facts.Write(job, Before + key, asked[(at + 1)..]);
    }

    private static void Tell(Job job, bool json)
    {
        var facts = TicketFacts.All.Select(f => (Key: f.Path[Before.Length..], f.Label, Text: f.Read(job))).ToList();
        if (json) Say.Json(facts.ToDictionary(f => f.Key.Replace('-', '_'), f => f.Text));
        else
            foreach (var (key, _, text) in facts.Where(f => f.Text.Length > 0))
                Console.WriteLine($"{key,-14} {text.ReplaceLineEndings(" / ")}");
    }
}
