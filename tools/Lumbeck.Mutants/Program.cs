using System.Collections.Concurrent;
using System.Globalization;
using Lumbeck.Mutants;

// Changes one figure of the program at a time, asks the tests that ask for it whether they tell, and names those they do
// not tell (docs/tests.md). What is known already is kept in a file and not asked again: a run that was left goes on.
// mutants [checks|geometry|kinds|houses|all] [results file] [how many at once]
var root = AppContext.BaseDirectory;
while (!File.Exists(Path.Combine(root, "Lumbeck.slnx"))) root = Path.GetDirectoryName(root)!;
var group = args.ElementAtOrDefault(0) ?? "all";
var results = Path.GetFullPath(args.ElementAtOrDefault(1) ?? Path.Combine(root, "TestResults", "mutants.txt"));
var hands = int.Parse(args.ElementAtOrDefault(2) ?? "2", CultureInfo.InvariantCulture);
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
// Within the clone: tests look for what stands beside them there.
var aside = Path.Combine(root, "TestResults", $"mutants-{Environment.ProcessId}");
Directory.CreateDirectory(aside);
var told = new Lock();
void tell(Mutant mutant, string? by)
{
    lock (told)
    {
        known[mutant.Name] = by is null ? "survived" : "killed";
        var line = $"{known[mutant.Name]}\t{mutant.Name}\t{by ?? mutant.Line}";
        Console.WriteLine(line);
        File.AppendAllLines(results, [line]);
    }
}
try
{
    foreach (var (project, suites) in new (string, (string Project, string Classes)[])[]
    {
        ("Core", [("Core", ""), ("Desk", "PlateChecksTests DemoFilesTests"), ("Press", "TemplateTests")]),
        ("Press", [("Press", "KindTests PressedPagesTests TemplateTests PressFileTests"), ("Desk", "DemoFilesTests")]),
    })
        Sources(project, suites);
    Houses();
}
finally { Directory.Delete(aside, recursive: true); }
foreach (var kind in all.GroupBy(m => m.Group))
{
    var left = kind.Where(m => known[m.Name] == "survived").ToList();
    Console.WriteLine($"{kind.Key}: {left.Count} of {kind.Count()} survive, {100.0 * left.Count / kind.Count():0.0} %");
}

// The figures of one project's sources.
void Sources(string project, (string Project, string Classes)[] suites)
{
    var own = all.Where(m => m.Group != "houses" && (m.Group == "kinds") == (project == "Press")).ToList();
    if (own.All(m => known.ContainsKey(m.Name))) return;
    var rebuilt = new Rebuilt(root, project, Path.Combine(root, "tests/Lumbeck.Desk.Tests/bin/Release/net10.0"));
    var switched = new Switched(rebuilt, own);
    var made = Path.Combine(aside, $"switched-{project}.dll");
    switched.Write(made);
    Console.WriteLine($"{project}: {own.Index().Count(m => switched.Asks(m.Index))} of {own.Count} figures ask as they run");
    // The program as it is: what each class takes and asks for. One that fails so says nothing of a mutant.
    var assembly = $"Lumbeck.{project}.dll";
    var names = new ConcurrentQueue<(string Project, string Name)>();
    var first = new Bench(root, Path.Combine(aside, "look-0"));
    foreach (var (tests, only) in suites)
        foreach (var name in first.Classes(tests).Where(c => only.Length == 0 || only.Split(' ').Contains(c
            .Split('.')[^1])))
            names.Enqueue((tests, name));
    var classes = new ConcurrentBag<TestClass>();
    Parallel.For(0, hands, new() { MaxDegreeOfParallelism = hands }, hand =>
    {
        var bench = new Bench(root, Path.Combine(aside, $"look-{hand}"));
        foreach (var (tests, _) in suites) bench.Lay(tests, assembly, made);
        while (names.TryDequeue(out var name))
            if (bench.Look(name.Project, name.Name) is { } seen) classes.Add(seen);
            else Console.WriteLine($"{name.Name} fails as the program is: it is not asked");
    });
    var open = new ConcurrentQueue<(int Index, Mutant Mutant)>(own.Index().Where(m => !known.ContainsKey(m.Item.Name)));
    Parallel.For(0, hands, new() { MaxDegreeOfParallelism = hands }, hand =>
    {
        var bench = new Bench(root, Path.Combine(aside, $"look-{hand}"));
        var lone = new Bench(root, Path.Combine(aside, $"lone-{hand}"));
        while (open.TryDequeue(out var next))
        {
            if (switched.Asks(next.Index))
            {
                tell(next.Mutant, bench.Killer(classes.Where(c => c.Sees.Contains(next.Index)),
                    new Dictionary<string, string> { [Switched.On] = next.Index
                        .ToString(CultureInfo.InvariantCulture) }));
                continue;
            }
            var alone = Path.Combine(aside, $"{hand}.dll");
            string? wrong;
            lock (rebuilt) wrong = rebuilt.Write(next.Mutant, alone);
            if (wrong is null) foreach (var (tests, _) in suites) lone.Lay(tests, assembly, alone);
            // Which class asks for a constant is not known: those that ask for a figure of its file.
            var near = own.Index().Where(m => m.Item.Path == next.Mutant.Path).Select(m => m.Index).ToHashSet();
            tell(next.Mutant, wrong is not null ? "it does not compile" : lone.Killer(classes.Where(c =>
                !near.Any(switched.Asks) || c.Sees.Overlaps(near))));
        }
    });
}

// The figures of the shipped houses, each changed where it lies in the program as it was built.
void Houses()
{
    var own = new ConcurrentQueue<Mutant>(all.Where(m => m.Group == "houses" && !known.ContainsKey(m.Name)));
    if (own.IsEmpty) return;
    var built = File.ReadAllBytes(Path.Combine(root, "tests/Lumbeck.Core.Tests/bin/Release/net10.0/Lumbeck.Core.dll"));
    var asked = new[] { "HouseTests", "GeometryTests", "BookTests", "ExplanationTests" };
    Parallel.For(0, hands, new() { MaxDegreeOfParallelism = hands }, hand =>
    {
        var bench = new Bench(root, Path.Combine(aside, $"house-{hand}"));
        var classes = bench.Classes("Core").Where(c => asked.Contains(c.Split('.')[^1]))
            .Select(c => new TestClass("Core", c, TimeSpan.FromSeconds(c.EndsWith("HouseTests",
                StringComparison.Ordinal) ? 1 : 12),
                new HashSet<int>())).ToList();
        while (own.TryDequeue(out var mutant))
        {
            var changed = Path.Combine(aside, $"house-{hand}.dll");
            File.WriteAllBytes(changed, Patched(built, mutant));
            bench.Lay("Core", "Lumbeck.Core.dll", changed);
            tell(mutant, bench.Killer(classes));
        }
    });
}

// A resource keeps its length: what a figure gains, spaces give.
static byte[] Patched(byte[] assembly, Mutant mutant)
{
    var was = File.ReadAllBytes(mutant.Path);
    var at = assembly.AsSpan().IndexOf(was);
    if (at < 0) throw new InvalidOperationException($"{mutant.Path} is not in the program as it was built");
    var text = mutant.Changed();
    while (System.Text.Encoding.UTF8.GetByteCount(text) > was.Length) text = text.Remove(text.LastIndexOf("  ",
        StringComparison.Ordinal), 1);
    var fit = System.Text.Encoding.UTF8.GetBytes(text.PadRight(text.Length + was.Length - System.Text.Encoding.UTF8
        .GetByteCount(text)));
    var changed = (byte[])assembly.Clone();
    fit.CopyTo(changed, at);
    return changed;
}
