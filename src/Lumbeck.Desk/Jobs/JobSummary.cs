using System.Security.Cryptography;
using System.Text;
using System.Text.Json;

namespace Lumbeck.Desk.Jobs;

/// <summary>
/// What a list shows of a job, in the job's unit; kept with its revision, so that nothing is worked out to show a list.
/// </summary>
public sealed record JobSummary
{
    /// <summary>The form these are stored in; others are made again.</summary>
    public const int Form = 2;

    public required string Title { get; init; }
    public required string Subtitle { get; init; }
    public required string Author { get; init; }
    public required string Series { get; init; }
    public required string Imprint { get; init; }
    public required string Isbn { get; init; }
    public required string Language { get; init; }
    public required string HouseId { get; init; }
    public required string House { get; init; }
    /// <summary>What its house's rules are known by, to see whether they have changed since.</summary>
    public required string Rules { get; init; }
    public required string Binding { get; init; }
    public required string Trim { get; init; }
    public required string Paper { get; init; }
    /// <summary>Pages as asked for, and as the house binds them.</summary>
    public required int Pages { get; init; }
    public required int Raised { get; init; }
    /// <summary>Its spine's width; empty where it has none.</summary>
    public required string Spine { get; init; }
    public required int Sheets { get; init; }
    /// <summary>The first sheet's size.</summary>
    public required string Sheet { get; init; }
    public required int Items { get; init; }
    /// <summary>What its ticket wants yet.</summary>
    public required IReadOnlyList<string> Missing { get; init; }
    public required int Stops { get; init; }
    public required int Cautions { get; init; }
    public required int Todos { get; init; }
    public required int Notes { get; init; }
    /// <summary>Whether its plates were looked at.</summary>
    public required bool Plated { get; init; }
    /// <summary>How ready it is, in words.</summary>
    public required string Ready { get; init; }
    /// <summary>The faces and the own profile it can't be shown without.</summary>
    public required IReadOnlyList<string> Faces { get; init; }
    public required string Profile { get; init; }
    /// <summary>The pictures it shows, by hash; where one is gone, it is looked at again.</summary>
    public required IReadOnlyList<string> Pictures { get; init; }

    /// <summary>What a list shows of a revision.</summary>
    public static JobSummary Of(Composed composed) =>
        Of(composed.Job, composed.Geometry) with
        {
            Stops = composed.Readiness.Stops,
            Cautions = composed.Readiness.Cautions,
            Todos = composed.Readiness.Todos,
            Notes = composed.Readiness.Notes,
            Plated = composed.IsPlated,
            Ready = composed.SaysReady,
        };

    /// <summary>What can be said of a job before anybody has looked at it.</summary>
    /// <exception cref="Refusal">Its facts make no sheet.</exception>
    public static JobSummary Of(Job job) => Of(job, WrapGeometry.Of(job.Ticket.Facts, job.Ticket.House));

    private static JobSummary Of(Job job, WrapGeometry g)
    {
        var t = job.Ticket;
        return new()
        {
            Title = t.Title,
            Subtitle = t.Subtitle,
            Author = t.Author,
            Series = t.Volume,
            Imprint = t.Imprint,
            Isbn = t.Isbn?.Digits ?? "",
            Language = t.Language,
            HouseId = t.House.Id,
            House = t.House.Name,
            Rules = RulesOf(t.House),
            Binding = t.Binding.Say(),
            Trim = t.Trim.Show(t.Unit),
            Paper = t.Paper.Name,
            Pages = t.Pages,
            Raised = g.Spine.Pages,
            Spine = g.Spine.Working.Length > 0 ? g.Spine.Width.Show(t.Unit) : "",
            Sheets = job.Sheets().Length,
            Sheet = g.Sheet.Size.Show(t.Unit),
            Items = job.Items.Count(),
            Missing = Readiness.Missing(t),
            Stops = 0,
            Cautions = 0,
            Todos = 0,
            Notes = 0,
            Plated = false,
            Ready = "being looked at",
            Faces = [.. job.Faces.Select(f => f.ToString())],
            Profile = t.House.Profile,
            Pictures = [.. job.Wraps.SelectMany(w => w.Take.Pictures).Select(p => p.Hash).Distinct()],
        };
    }

    /// <summary>What a house's rules are known by.</summary>
    public static string RulesOf(House house) => Known.GetValue(house, h =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(HouseFile.Write(h))))[..32]);

    // Jobs of one house share it from edit to edit.
    private static readonly System.Runtime.CompilerServices.ConditionalWeakTable<House, string> Known = [];

    internal string Write() => JsonSerializer.Serialize(this, JobJson.Options);

    /// <summary>As it was stored; null where it can't be read, which makes it anew.</summary>
    internal static JobSummary? Read(string text)
    {
        try { return JsonSerializer.Deserialize<JobSummary>(text, JobJson.Options); }
        catch (JsonException) { return null; }
    }
}
