namespace Lumbeck.Core.Document;

/// <summary>How a job's words go to the typesetter.</summary>
public static class TextSetting
{
    /// <summary>A text as the typesetter takes it.</summary>
    /// <param name="text">The text.</param>
    /// <param name="ticket">For the language and the reading direction.</param>
    /// <param name="turned">How its panel is turned.</param>
    public static TextToSet ToSet(this TextItem text, Ticket ticket, Turn turned) => new(text.Words, text.Style)
    {
        Runs = text.Runs,
        Fit = text.Fit,
        Columns = text.Columns,
        Gutter = text.Gutter.Points,
        Upright = text.Upright,
        Turned = turned,
        Bend = (double)text.Bend,
        Language = ticket.Language,
        RightToLeft = ticket.Reading == Reading.RightToLeft,
    };
}
