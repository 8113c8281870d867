using System.Reflection;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;

namespace Lumbeck.Mutants;

/// <summary>A project of the program, compiled once and again with one of its files changed.</summary>
internal sealed class Rebuilt
{
    public static readonly CSharpParseOptions Parsing = new(LanguageVersion.CSharp14, preprocessorSymbols: ["NET",
        "NET10_0"]);

    private readonly CSharpCompilation _whole;

    /// <summary>The project as it is.</summary>
    public CSharpCompilation Whole => _whole;
    private readonly Dictionary<string, SyntaxTree> _trees;
    private readonly (string Name, byte[] Data)[] _resources;
    private readonly string _root;

    /// <param name="root">Where the sources are.</param>
    /// <param name="project">Such as <c>Core</c>.</param>
    /// <param name="beside">A folder with what was built of it and of what it refers to.</param>
    public Rebuilt(string root, string project, string beside)
    {
        _root = root;
        var name = $"Lumbeck.{project}";
        var folder = Path.Combine(root, "src", name);
        var made = Path.Combine(folder, "obj", "Release", "net10.0");
        _trees = Directory.GetFiles(folder, "*.cs", SearchOption.AllDirectories)
            .Where(p => !p.Contains("/obj/", StringComparison.Ordinal) && !p.Contains("/bin/",
                StringComparison.Ordinal))
            .Concat(Directory.GetFiles(made, "*.cs"))
            .ToDictionary(p => p, p => CSharpSyntaxTree.ParseText(File.ReadAllText(p), Parsing, p));
        var built = Path.Combine(beside, name + ".dll");
        var references = ((string)AppContext.GetData("TRUSTED_PLATFORM_ASSEMBLIES")!).Split(':')
            .Where(p => p.Contains("Microsoft.NETCore.App", StringComparison.Ordinal))
            .Concat(Directory.GetFiles(beside, "*.dll").Where(p => p != built && IsManaged(p)))
            .DistinctBy(Path.GetFileName).Select(p => MetadataReference.CreateFromFile(p));
        var options = new CSharpCompilationOptions(OutputKind.DynamicallyLinkedLibrary,
            optimizationLevel: OptimizationLevel.Release,
            allowUnsafe: true, nullableContextOptions: NullableContextOptions.Enable, deterministic: true);
        var plain = CSharpCompilation.Create(name, _trees.Values, references, options);
        // What is generated does not hang on figures: it is made once.
        var packs = Directory.GetFiles(Path.Combine(SdkRoot(), "packs", "Microsoft.NETCore.App.Ref"), "*.dll",
            SearchOption.AllDirectories)
            .Where(p => p.Contains("/analyzers/dotnet/cs/", StringComparison.Ordinal)
                && (p.EndsWith("RegularExpressions.Generator.dll", StringComparison.Ordinal)
                    || p.EndsWith("LibraryImportGenerator.dll", StringComparison.Ordinal) || p
                        .EndsWith("SourceGeneration.dll", StringComparison.Ordinal)));
        foreach (var one in packs) Assembly.LoadFrom(one);
        var generators = packs.Select(Assembly.LoadFrom).SelectMany(Types)
            .Where(t => !t.IsAbstract && t.GetCustomAttribute<GeneratorAttribute>() is not null)
            .Select(Activator.CreateInstance).Select(g => g is IIncrementalGenerator i ? i.AsSourceGenerator()
                : (ISourceGenerator)g!);
        var generated = CSharpGeneratorDriver.Create(generators, parseOptions: Parsing).RunGenerators(plain)
            .GetRunResult();
        _whole = plain.AddSyntaxTrees(generated.GeneratedTrees);
        var own = Assembly.LoadFrom(built);
        _resources = [.. own.GetManifestResourceNames().Select(n =>
        {
            using var s = own.GetManifestResourceStream(n)!;
            var data = new byte[s.Length];
            s.ReadExactly(data);
            return (n, data);
        })];
    }

    private static string SdkRoot() => Path.GetFullPath(Path.Combine(Path
        .GetDirectoryName(typeof(object).Assembly.Location)!, "../../.."));

    /// <summary>What an assembly has but for what only an editor needs.</summary>
    private static IEnumerable<Type> Types(Assembly assembly)
    {
        try { return assembly.GetTypes(); }
        catch (ReflectionTypeLoadException e) { return e.Types.OfType<Type>(); }
    }

    private static bool IsManaged(string path)
    {
        try { AssemblyName.GetAssemblyName(path); return true; }
        catch (BadImageFormatException) { return false; }
    }

    /// <summary>Writes the project's assembly with one figure changed; says why where that does not compile.</summary>
    /// <param name="mutant">What is changed; null for nothing.</param>
    /// <param name="path">Where to.</param>
    public string? Write(Mutant? mutant, string path)
    {
        var whole = _whole;
        if (mutant is not null)
            whole = whole.ReplaceSyntaxTree(_trees[mutant.Path], CSharpSyntaxTree.ParseText(mutant.Changed(), Parsing,
                mutant.Path));
        return Write(whole, path);
    }

    /// <summary>Writes the project's assembly; says why where it does not compile.</summary>
    public string? Write(CSharpCompilation whole, string path)
    {
        var resources = _resources.Select(r => new ResourceDescription(r.Name, () => new MemoryStream(r.Data),
            isPublic: true));
        File.Delete(path);
        using var to = File.Create(path);
        var made = whole.Emit(to, manifestResources: resources);
        return made.Success ? null : made.Diagnostics.First(d => d.Severity == DiagnosticSeverity.Error).ToString()
            .Replace(_root, "", StringComparison.Ordinal);
    }
}
