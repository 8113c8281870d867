namespace Lumbeck.Desk.Jobs;

/// <summary>Mends of findings as edits: one, or all that are certain.</summary>
public static class MendingDesk
{
    /// <summary>Most mends of one press; each may make way for another.</summary>
    private const int Most = 40;

    /// <summary>The edit that mends a finding.</summary>
    /// <exception cref="Refusal">It is mended already, or nothing certain mends it.</exception>
    public static Edit Mend(this JobDesk jobs, string slug, string key)
    {
        var on = jobs.Job(slug);
        if (key == "all") return jobs.MendAll(on);
        var finding = on.Composed.Findings.FirstOrDefault(f => f.Key == key)
            ?? throw new Refusal("mend", "this was mended in the meantime");
        return finding.Fix ?? throw new Refusal("mend", $"no certain mend is known: {finding.Mend}");
    }

    /// <summary>All that is certain as one step: each mend is made on what the one before it left.</summary>
    private static Together MendAll(this JobDesk jobs, OnBench on)
    {
        var (job, findings) = (on.Job, on.Composed.Findings);
        var edits = ImmutableList.CreateBuilder<Edit>();
        var tried = new HashSet<string>();
        while (edits.Count < Most
            && findings.FirstOrDefault(f =>
                f is { Fix: not null, Waived: null, Severity: not Severity.Note } && tried.Add(f.Key)) is { } next)
        {
            // One mend may have taken away what another was for.
            if (Attempt.OrNull(() => jobs.After(job, next.Fix!)) is not { } mended) continue;
            job = mended;
            edits.Add(next.Fix!);
            findings = [.. jobs.Worked(0, job).Findings,
                .. findings.Where(f => Rules.All.First(r => r.Id == f.Id) is PlateRule)];
        }
        return edits.Count > 0
            ? new(edits.ToImmutable(), edits.Count == 1 ? "mend one finding" : $"mend {edits.Count} findings")
            : throw new Refusal("mend", "nothing here has a certain mend");
    }
}
