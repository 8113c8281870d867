using Lumbeck.Caching;
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
    private static readonly ByteCache<string, Intake.Opening.Reading> Read = new(8_000_000, _ => 20_000);

    public static Intake.Opening.Reading ReadBack(this PressDesk press, string slug, PressingRow row)
    {
        return Read.GetOrAdd(row.File, _ =>
        {
            using var file = press.Pressed(slug, row.Id).File;
            return Intake.Opening.Reading.Of(file);
        });
    }
}
