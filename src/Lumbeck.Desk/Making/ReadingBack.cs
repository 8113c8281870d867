using System.Collections.Concurrent;
using Lumbeck.Intake;
using Lumbeck.Intake.Judging;
using Lumbeck.Intake.Opening;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>
/// What is in a pressed file, as the intake's code reads it. A kept file never changes, so neither does its reading.
/// </summary>
public static class ReadingBack
{
    private static readonly ConcurrentDictionary<string, Intake.Opening.Reading> Read = new();

    public static Intake.Opening.Reading ReadBack(this PressDesk press, string slug, PressingRow row)
    {
        if (Read.TryGetValue(row.File, out var known)) return known;
        if (Read.Count > 200) Read.Clear();
        using var file = press.Pressed(slug, row.Id).File;
        return Read[row.File] = Intake.Opening.Reading.Of(file);
    }
}
