using Lumbeck.Bench;

// A part that is timed as a process of its own.
if (args is ["do", var what, var where, .. var files])
{
    ConversionBench.Do(what, where, files);
    return;
}

// Every figure stands beside a peer measured in the same run; no figure makes this program fail. Words name the parts
// to run; none, all of them.
var folder = Directory.CreateTempSubdirectory("lumbeck-bench-").FullName;
bool wanted(string part) => args.Length == 0 || args.Contains(part);
try
{
    Console.WriteLine($"{"what",-46} {"median",12} {"95th",12} {"least",12} {"most",12}");
    if (wanted("geometry")) Benches.Geometry();
    if (wanted("compose")) Benches.Compose(folder);
    if (wanted("press")) Benches.Press(folder);
    if (wanted("check")) PressBench.Run(folder);
    if (wanted("server")) await Benches.Server(folder);
    if (wanted("type")) await TypeBench.Run(folder);
    if (wanted("edits")) await EditBench.Run(folder);
    if (wanted("hand")) await HandBench.Run(folder);
    if (wanted("picture")) await PictureBench.Run(folder);
    if (wanted("conversion")) ConversionBench.Run(folder);
    if (wanted("plates")) PlateBench.Run(folder);
    if (wanted("inside")) await Benches.Inside(folder);
    if (wanted("pages")) await PagesBench.Run(folder);
    if (wanted("history")) HistoryBench.Run(folder);
    if (wanted("art")) ArtBench.Run(folder);
    if (wanted("flat")) FlatBench.Run(folder);
    if (wanted("mend")) MendBench.Run(folder);
    if (wanted("evening")) await EveningBench.Run(folder);
    if (wanted("liveries")) await LiveryBench.Run(folder);
}
finally { Directory.Delete(folder, recursive: true); }
