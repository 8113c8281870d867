namespace Lumbeck.Core.Checks.RuleBook;

/// <summary>Every rule, in the order findings are listed.</summary>
public static class Rules
{
    public static IReadOnlyList<CheckRule> All { get; } =
    [
        new TicketPages(), new TicketInside(), new TicketSpinePinned(), new TicketTrim(), new GroundCoverage(),
            new ZoneTrim(), new ZoneFold(), new ZoneEdge(), new ZoneSpine(), new ZoneDrift(),
        new TextOverset(), new TextGlyphs(), new TextPlaceholder(), new TextTicket(), new TextMissing(), new TextSize(),
            new TextInks(), new TextContrast(), new TextTypography(), new LineWeight(), new PatternLine(), new PatternBeats(),
        new PictureMissing(), new PictureResolution(), new PictureColour(), new PictureGamut(), new PictureSeam(),
            new PictureLicence(), new PictureFace(),
            new InkTotal(), new InkOverprint(), new InkBlack(), new InkFinish(), new InkSteps(),
        new BarcodeDigits(), new BarcodeRoom(), new BarcodeInk(), new BarcodeReadable(), new BarcodePrice(),
            new BarcodeWho(), new FaceEmbed(), new BleedBare(), new PressTransparency(), new PressSize(),
            new ItemLost(),
    ];

    /// <summary>Refuses a job that goes without a rule that there is none of.</summary>
    /// <exception cref="Refusal">There is no such rule; it is named.</exception>
    public static void RefuseUnknown(Job job)
    {
        foreach (var waiver in job.Waivers)
            if (All.All(r => r.Id != waiver.Rule) && PageRule.All.All(r => r.Id != waiver.Rule))
                throw new Refusal("waiver", $"there is no rule called `{LengthText.Clip(waiver.Rule)}`");
    }

    /// <summary>What can be found on all sheets of a job without its plates, stops first.</summary>
    public static ImmutableArray<Finding> Check(IEnumerable<CheckContext> sheets) =>
        [.. sheets.SelectMany(look =>
            All.OfType<Rule>().Where(r => !r.OfTicket || look.On.Number == 0).SelectMany(r => r.Check(look)))
            .OrderBy(f => f.Severity)];

    /// <summary>What the plates of one sheet show.</summary>
    public static ImmutableArray<Finding> Check(CheckContext look, PlateContext plates) =>
        [.. All.OfType<PlateRule>().SelectMany(r => r.Find(look, plates))];

    /// <summary>Findings of both kinds as they are listed.</summary>
    public static ImmutableArray<Finding> Merged(IEnumerable<Finding> scene, IEnumerable<Finding> plates) =>
        [.. scene.Concat(plates).OrderBy(f => f.Severity)];
}
