using System.Reflection;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Lumbeck.Web.Screens;
using Lumbeck.Web.Wire;

namespace Lumbeck.Web.Tests;

/// <summary>The client's types are written from the server's, so that its compiler knows what may be sent.</summary>
public sealed class WireTests
{
    private static readonly NullabilityInfoContext Nullability = new();

    private static string Word(string name) => JsonNamingPolicy.KebabCaseLower.ConvertName(name);

    private static string TypeOf(System.Type type)
    {
        if (Nullable.GetUnderlyingType(type) is { } inner) return TypeOf(inner) + " | null";
        if (type == typeof(string)) return "string";
        if (type == typeof(bool)) return "boolean";
        if (type.IsEnum || type.Namespace == typeof(Ask).Namespace) return type.Name;
        if (type.IsArray) return TypeOf(type.GetElementType()!) + "[]";
        if (type.IsGenericType) return TypeOf(type.GetGenericArguments()[0]) + "[]";
        return "number";
    }

    private static string Member(PropertyInfo p)
    {
        var blank = Nullability.Create(p).WriteState == NullabilityState.Nullable;
        var type = TypeOf(p.PropertyType);
        return $"{JsonNamingPolicy.CamelCase.ConvertName(p.Name)}{(blank ? "?" : "")}: " +
            $"{type}{(blank && !type.EndsWith("null", StringComparison.Ordinal) ? " | null" : "")}";
    }

    private static string Shape(System.Type type, string? word = null)
    {
        var members = type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.Name != "EqualityContract").Select(Member);
        return $"{{ {string.Join("; ", (word is null ? [] : (string[])[$"is: '{word}'"]).Concat(members))} }}";
    }

    private static string Client()
    {
        var s = new StringBuilder("// Written from the server's own types by its tests (LUMBECK_KEEP=1 writes it " +
            "anew): what a browser may send, and is told.\n\n");
        foreach (var of in (System.Type[])[typeof(Place), typeof(Way), typeof(Beside)])
            s.Append("export type ").Append(of.Name).Append(" = ")
                .AppendJoin(" | ", Enum.GetNames(of).Select(n => $"'{(of == typeof(Place) ? n : Word(n))}'"))
                .Append(";\n");
        foreach (var of in (System.Type[])[typeof(Laid), typeof(Copying), typeof(Problem), typeof(Work),
            typeof(WorkList)])
            s.Append("export type ").Append(of.Name).Append(" = ").Append(Shape(of)).Append(";\n");
        s.Append("\nexport type Ask =");
        foreach (var kind in typeof(Ask).GetCustomAttributes<JsonDerivedTypeAttribute>())
            s.Append("\n  | ").Append(Shape(kind.DerivedType, (string)kind.TypeDiscriminator!));
        return s.Append(";\n\nexport type Sent = ")
            .Append(Shape(typeof(Sent)).Replace("; ", ";\n  ", StringComparison.Ordinal)).Append(";\n").ToString();
    }

    [Fact]
    public void The_client_s_types_are_the_server_s()
    {
        var file = Source();
        if (Environment.GetEnvironmentVariable("LUMBECK_KEEP") == "1") File.WriteAllText(file, Client());
        File.ReadAllText(file).ShouldBe(Client());
    }

    [Fact]
    public void What_the_client_may_leave_out_the_server_does_not_ask_for()
    {
        foreach (var kind in typeof(Ask).GetCustomAttributes<JsonDerivedTypeAttribute>().Select(a => a.DerivedType)
            .Append(typeof(Laid)))
            foreach (var p in kind.GetConstructors().SelectMany(c => c.GetParameters())
                .Where(p => Nullability.Create(p).WriteState == NullabilityState.Nullable && p.ParameterType != kind))
                p.HasDefaultValue.ShouldBeTrue($"{kind.Name}.{p.Name}");
    }

    [Fact]
    public void Every_kind_of_asking_is_on_the_list()
    {
        var listed = typeof(Ask).GetCustomAttributes<JsonDerivedTypeAttribute>().Select(a => a.DerivedType);
        typeof(Ask).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Ask))).ShouldBe(listed, ignoreOrder: true);
    }

    private static string Source([CallerFilePath] string here = "") =>
        Path.GetFullPath(Path.Combine(Path.GetDirectoryName(here)!, "../../src/Lumbeck.Web/Client/queue/wire.ts"));
}
