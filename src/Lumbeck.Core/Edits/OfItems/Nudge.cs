namespace Lumbeck.Core.Edits.OfItems;

/// <summary>Moving by keys: a fine step and one ten times as far, whole figures in the job's unit.</summary>
public static class Nudge
{
    /// <summary>0.25 mm, or 0.01 in.</summary>
    public static Length Step(Unit unit) =>
        unit == Unit.Inch ? Length.FromInches(0.01m) : Length.FromMillimetres(0.25m);

    public static MoveItem Of(Job job, string item, int right, int down, bool far)
    {
        var times = far ? 10 : 1;
        var step = Step(job.Ticket.Unit);
        return new(item, times * right * step, times * down * step);
    }
}
