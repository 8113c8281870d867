using System.Collections.Concurrent;
using Lumbeck.Mutants;

// Changes one figure of the program at a time, asks the tests whether they tell, and names those they do not tell
// (docs/tests.md). What is known already is kept in a file and not asked again: a run that was left goes on.
// mutants [checks|geometry|kinds|houses|all] [results file] [how many at once]
var root = AppContext.BaseDirectory;
while (!File.Exists(Path.Combine(root, "Lumbeck.slnx"))) root = Path.GetDirectoryName(root)!;
var group = args.ElementAtOrDefault(0) ?? "all";
var results = Path.GetFullPath(args.ElementAtOrDefault(1) ?? Path.Combine(root, "TestResults", "mutants.txt"));
var hands = int.Parse(args.ElementAtOrDefault(2) ?? "2", System.Globalization.CultureInfo.InvariantCulture);
Directory.CreateDirectory(Path.GetDirectoryName(results)!);

List<Mutant> all =
[
    .. Figures.OfSources(root, "checks", "src/Lumbeck.Core/Checks"),
    .. Figures.OfSources(root, "geometry", "src/Lumbeck.Core/Trade/Geometry"),
    .. Figures.OfSources(root, "kinds", "src/Lumbeck.Press/Kinds"),
    .. Figures.OfHouses(root),
];
all.RemoveAll(m => group != "all" && m.Group != group);
var known = File.Exists(results) ? File.ReadAllLines(results).Select(l => l.Split('\t')).Where(l => l.Length > 2)
    .DistinctBy(l => l[1]).ToDictionary(l => l[1], l => l[0]) : [];
Console.WriteLine($"{all.Count} figures, {all.Count(m => known.ContainsKey(m.Name))} known");
var built = Path.Combine(root, "tests/Lumbeck.Desk.Tests/bin/Release/net10.0");
var projects = new Dictionary<string, Rebuilt>
{
    ["Core"] = new(root, "Core", built),
    ["Press"] = new(root, "Press", built),
};
// Within the clone: tests look for what stands beside them there.
var aside = Path.Combine(root, "TestResults", $"mutants-{Environment.ProcessId}");
Directory.CreateDirectory(aside);
try
{
    // The program as it is passes, compiled here as well as there; else nothing that follows says anything.
    foreach (var (project, rebuilt) in projects)
    {
        var made = Path.Combine(aside, project + ".dll");
        if (rebuilt.Write(null, made) is { } why) throw new InvalidOperationException($"{project} does not compile here: {why}");
        var first = Suite.Of(project == "Core" ? "checks" : "kinds")[0];
        if (new Bench(root, Path.Combine(aside, "as-it-is")).Killer($"Lumbeck.{project}.dll", made, [first]) is { } failed)
            throw new InvalidOperationException($"{failed} fails with {project} as it is");
    }
    var open = new ConcurrentQueue<Mutant>(all.Where(m => !known.ContainsKey(m.Name)));
    var told = new Lock();
    Parallel.For(0, hands, new() { MaxDegreeOfParallelism = hands }, hand =>
    {
        var bench = new Bench(root, Path.Combine(aside, $"hand-{hand}"));
        while (open.TryDequeue(out var mutant))
        {
            var project = mutant.Group == "kinds" ? "Press" : "Core";
            var made = Path.Combine(aside, $"{hand}.dll");
            string? wrong;
            lock (projects[project]) wrong = projects[project].Write(mutant, made);
            var by = wrong is not null ? "it does not compile" : bench.Killer($"Lumbeck.{project}.dll", made, Suite.Of(mutant.Group));
            lock (told)
            {
                known[mutant.Name] = by is null ? "survived" : "killed";
                var line = $"{known[mutant.Name]}\t{mutant.Name}\t{by ?? mutant.Line}";
                Console.WriteLine(line);
                File.AppendAllLines(results, [line]);
            }
        }
    });
}
finally { Directory.Delete(aside, recursive: true); }
foreach (var kind in all.GroupBy(m => m.Group))
{
    var left = kind.Where(m => known[m.Name] == "survived").ToList();
    Console.WriteLine($"{kind.Key}: {left.Count} of {kind.Count()} survive, {100.0 * left.Count / kind.Count():0.0} %");
}
