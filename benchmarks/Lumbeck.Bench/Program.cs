using Lumbeck.Bench;

// Every figure stands beside a peer measured in the same run; no figure makes this program fail.
var folder = Directory.CreateTempSubdirectory("lumbeck-bench-").FullName;
try
{
    Console.WriteLine($"{"what",-46} {"median",12} {"95th",12} {"least",12} {"most",12}");
    Benches.Geometry();
    Benches.Compose(folder);
    Benches.Press(folder);
    await Benches.Server(folder);
    await HandBench.Run(folder);
    await Benches.Inside(folder);
}
finally { Directory.Delete(folder, recursive: true); }
