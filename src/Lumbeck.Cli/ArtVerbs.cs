using System.CommandLine;
using Lumbeck.Core.Art.Fields;
using Lumbeck.Desk.Making;
using Lumbeck.Press.Faces;

namespace Lumbeck.Cli;

/// <summary>Papers, vistas and ornaments without a cover.</summary>
internal static class ArtVerbs
{
    private static readonly Argument<string?> Family = new("FAMILY")
    {
        Description = "a word of --list, such as waves",
        Arity = ArgumentArity.ZeroOrOne,
    };

    private static readonly Option<bool> List = new("--list") { Description = "tells every family with its settings" };
    private static readonly Option<string?> SeedOption =
        new("--seed") { Description = "a number of up to 64 bits, or a word" };
    private static readonly Option<string> SizeOption = new("--size")
    {
        Description = "such as 210x297mm",
        DefaultValueFactory = _ => "210x297mm",
    };

    private static readonly Option<string[]> Set = new("--set")
    {
        Description = "one of its settings, such as pitch=12mm; may be given again",
        AllowMultipleArgumentsPerToken = false,
    };

    private static readonly Option<string?> Outlines =
        new("--outlines") { Description = "its visible edges in lines so heavy, such as 1pt, for colouring and for foil" };

    private static readonly Option<string?> Kind = new("--kind") { Description = string.Join(", ", ArtFile.Kinds) };
    private static readonly Option<string?> Out = new("--out") { Description = "the file to write" };
    private static readonly Option<bool> AsJson = new("--json") { Description = "as JSON" };

    /// <summary>What settings are typed in where they say no unit.</summary>
    private static readonly FieldTerms Terms = new(Unit.Millimetre, [], []);

    public static Command Art()
    {
        var c = new Command("art", "Draws a pattern, a vista or an ornament.")
        {
            Family,
            List,
            SeedOption,
            SizeOption,
            Set,
            Outlines,
            Kind,
            Out,
            AsJson,
        };
        c.SetAction(p =>
        {
            if (p.GetValue(List)) { Told(p.GetValue(AsJson)); return 0; }
            var word = p.GetValue(Family)
                ?? throw new Refusal("family", "a family is missing: see `lumbeck art --list`");
            var sketch = Given(ArtFile.Of(word), p.GetValue(SeedOption), p.GetValue(Set) ?? []);
            if (p.GetValue(Outlines) is { } weight) sketch = Given(sketch, null, [$"outlines={weight}"]);
            if (!LengthText.TryParseSize(p.GetValue(SizeOption)!, Unit.Millimetre, out var size, out var why))
                throw new Refusal("--size", $"--size: {why}");
            if (size.Width <= Length.Zero || size.Height <= Length.Zero || size.Width > Most || size.Height > Most)
                throw new Refusal("--size",
                    $"--size: {size.Show(Unit.Millimetre)} can’t be drawn: up to {Most.Show(Unit.Millimetre)} a side");
            var kind = p.GetValue(Kind)
                ?? throw new Refusal("--kind", $"--kind is missing: take {string.Join(", ", ArtFile.Kinds)}");
            var file = Say.Target(p.GetValue(Out) ?? throw new Refusal("--out", "--out is missing: name a file"));
            Say.Written(file, s => ArtFile.Write(s, kind, sketch, size, new FaceShelf()));
            Console.WriteLine($"{file}: {sketch.Kind}, seed {sketch.Seed}, version {sketch.Version}, " +
                $"{size.Show(Unit.Millimetre)}, {new FileInfo(file).Length / 1000} kB.");
            return 0;
        });
        return c;
    }

    private static readonly Length Most = Length.FromMillimetres(2000);

    private static Sketch Given(Sketch sketch, string? seed, string[] settings)
    {
        if (seed is not null) sketch = sketch with { Seed = Seed.Of(seed) };
        foreach (var setting in settings)
        {
            if (setting.Split('=', 2) is not [var key, var text])
                throw new Refusal("--set", $"--set: `{LengthText.Clip(setting)}` is no setting: say KEY=VALUE");
            var field = sketch.Fields.FirstOrDefault(f => f.Key == key)
                ?? throw new Refusal("--set", $"--set: {sketch.Kind} have no `{LengthText.Clip(key)}`: take " +
                    string.Join(", ", sketch.Fields.Select(f => f.Key)));
            sketch = Attempt.Telling(r => new("--set", $"--set {key}: {r.Message}"),
                () => sketch.With(key, field.Read(text, Terms), ""));
        }
        return sketch;
    }

    private static void Told(bool json)
    {
        if (json)
        {
            Say.Json(ArtFile.Families.Select(f => new
            {
                family = f.Word,
                kind = f.Sort,
                settings = f.First.Fields.Where(x => !x.TakesPaint).Select(x => new
                {
                    key = x.Key,
                    unit = x.Range?.Unit ?? "",
                    least = x.Range?.Least,
                    most = x.Range?.Most,
                    @default = x.Show(f.First, Terms),
                    choices = x.Choices.Select(c => c.Text),
                }),
                paints = f.First.Slots,
                version = f.First.Version,
            }));
            return;
        }
        foreach (var f in ArtFile.Families)
            Console.WriteLine($"{f.Word,-18} {f.Sort,-9} " +
                $"{string.Join(", ", f.First.Fields.Where(x => !x.TakesPaint).Select(x => x.Key))}");
    }
}
