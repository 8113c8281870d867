using System.Text.Json;
using Lumbeck.Store;

namespace Lumbeck.Desk.Orders;

/// <summary>What an order came to.</summary>
public sealed record Made
{
    /// <summary>The file that was made, with what Check and the house’s reception said of it.</summary>
    public PressingRow? Pressed { get; init; }

    /// <summary>What the inks and the pages were found to be; null where none were looked at.</summary>
    public ImmutableArray<Finding>? Found { get; init; }

    /// <summary>What it was made of.</summary>
    internal Composed? Of { get; init; }

    /// <summary>The file’s name, for people.</summary>
    public string Name { get; init; } = "";

    /// <summary>Where the file lies that was made.</summary>
    public string? Path { get; init; }

    /// <summary>A finding, and the edit that mends it as its own JSON.</summary>
    private sealed record WrittenFinding(Finding Found, string? By);

    private sealed record Written(PressingRow? Pressed, IReadOnlyList<WrittenFinding>? Found);

    /// <summary>As it stands in the queue.</summary>
    public string Write() => JsonSerializer.Serialize(
        new Written(Pressed,
            Found?.Select(f => new WrittenFinding(f, f.Fix is null ? null : EditJson.Write(f.Fix))).ToList()),
        JobJson.Options);

    /// <exception cref="Refusal">It can’t be read.</exception>
    public static Made Read(string text)
    {
        try
        {
            var read = JsonSerializer.Deserialize<Written>(text, JobJson.Options);
            return new()
            {
                Pressed = read?.Pressed,
                Found = read?.Found?.Select(f => f.Found with { Fix = f.By is null ? null : EditJson.Read(f.By) }).ToImmutableArray(),
            };
        }
        catch (JsonException) { throw new Refusal("work", "what was made can’t be read: ask for it again"); }
    }
}
