using Lumbeck.Art;

// Renders the demo covers' pictures anew: ./art, then look at what changed.
var folder = args.Length > 0 ? args[0] : ".";
Directory.CreateDirectory(folder);
foreach (var (name, wide, high, paint) in Scenes.All)
{
    using var canvas = new Canvas(wide, high);
    paint(canvas);
    canvas.Save(Path.Combine(folder, name));
    Console.WriteLine($"{name}  {wide} × {high}, {new FileInfo(Path.Combine(folder, name)).Length / 1000} kB");
}
