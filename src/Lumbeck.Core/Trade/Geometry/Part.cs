using System.Text.Json.Serialization;

namespace Lumbeck.Core.Trade.Geometry;

/// <summary>
/// The parts of a wrap that items hang on. A face that carries items is a panel; the sheet is all of them.
/// </summary>
public enum Part
{
    [JsonStringEnumMemberName("sheet")] Sheet,
    [JsonStringEnumMemberName("back")] Back,
    [JsonStringEnumMemberName("spine")] Spine,
    [JsonStringEnumMemberName("front")] Front,
    [JsonStringEnumMemberName("back-flap")] BackFlap,
    [JsonStringEnumMemberName("front-flap")] FrontFlap,
    [JsonStringEnumMemberName("back-fore-edge")] BackForeEdge,
    [JsonStringEnumMemberName("front-fore-edge")] FrontForeEdge,
    /// <summary>A page of an inside.</summary>
    [JsonStringEnumMemberName("page")] Page,
}

public static class Parts
{
    /// <summary>The name in vectors, JSON and addresses.</summary>
    public static string Word(this Part part) => part switch
    {
        Part.BackFlap => "back-flap",
        Part.FrontFlap => "front-flap",
        Part.BackForeEdge => "back-fore-edge",
        Part.FrontForeEdge => "front-fore-edge",
        _ => part.ToString().ToLower(CultureInfo.InvariantCulture),
    };

    /// <summary>The part that lies across the spine; null for what has none.</summary>
    public static Part? Across(this Part part) => part switch
    {
        Part.Front => Part.Back,
        Part.Back => Part.Front,
        Part.FrontFlap => Part.BackFlap,
        Part.BackFlap => Part.FrontFlap,
        _ => null,
    };

    /// <summary>The name in a sentence.</summary>
    public static string Say(this Part part) => part switch
    {
        Part.Sheet => "whole sheet",
        Part.BackFlap => "back flap",
        Part.FrontFlap => "front flap",
        Part.BackForeEdge => "back fore-edge",
        Part.FrontForeEdge => "front fore-edge",
        _ => part.Word(),
    };

    public static bool TryParse(string word, out Part part)
    {
        foreach (var p in Enum.GetValues<Part>()) if (p.Word() == word) { part = p; return true; }
        part = default;
        return false;
    }
}

/// <summary>Which way the book reads; decides the order of the panels and nothing else.</summary>
public enum Reading
{
    [JsonStringEnumMemberName("ltr")] LeftToRight,
    [JsonStringEnumMemberName("rtl")] RightToLeft,
}

/// <summary>A quarter turn, clockwise as seen on the sheet.</summary>
public enum Turn { None = 0, Clockwise = 90, CounterClockwise = 270 }

public enum RegionKind { Bleed, TurnIn, Flap, ForeEdge, Panel, Spine }

/// <summary>One upright strip of the sheet. Regions run left to right and tile it exactly.</summary>
public sealed record Region(RegionKind Kind, Part? Part, Length X, Length Width);

public enum ZoneKind { Bleed, TrimSafe, FoldSafe, Safe, SpineSafe, Hinge, Score, Punch, Barcode, Glue }

public static class ZoneKinds
{
    public static string Word(this ZoneKind kind) => kind switch
    {
        ZoneKind.TrimSafe => "trim-safe",
        ZoneKind.FoldSafe => "fold-safe",
        ZoneKind.SpineSafe => "spine-safe",
        _ => kind.ToString().ToLower(CultureInfo.InvariantCulture),
    };
}

/// <summary>A part of the sheet with a rule, and the reason in words (docs/geometry.md, Zones).</summary>
public sealed record Zone(ZoneKind Kind, Part Panel, Box Box, string Reason);

/// <summary>
/// A face that carries items. <paramref name="Face"/> is trimmed and folded; <paramref name="Safe"/> is where what
/// matters may stand;
/// <paramref name="Edge"/> is the face with the bleed or turn-in that belongs to it. A spine's items stand level in
/// their own
/// frame, turned by <paramref name="Turn"/> on the sheet.
/// </summary>
public sealed record Panel(Part Part, Box Face, Box Safe, Box Edge, Turn Turn, bool CarriesText = true);

/// <summary>
/// All that art knows of where it is: a flat thing that is printed and cut, its panels and zones, measured from its
/// upper left corner.
/// A binding makes sheets, an inside's grid makes pages.
/// </summary>
/// <param name="Size">With bleed or turn-in.</param>
/// <param name="Trim">What is left when it is cut.</param>
/// <param name="Safe">What the knife can't reach, folds not minded.</param>
/// <param name="Folds">Where it is folded upright, from the left; none of a page.</param>
/// <param name="FoldsAcross">Where it is folded level, from the head.</param>
/// <param name="Panels">The faces that carry items.</param>
/// <param name="Zones">Parts with a rule.</param>
public record Surface(
    Size Size, Box Trim, Box Safe, ImmutableArray<Length> Folds, ImmutableArray<Length> FoldsAcross,
        ImmutableArray<Panel> Panels, ImmutableArray<Zone> Zones)
{
    public Box Whole => new(Length.Zero, Length.Zero, Size.Width, Size.Height);

    public Panel? Panel(Part part) => Panels.FirstOrDefault(p => p.Part == part);

    public Zone? Zone(ZoneKind kind, Part part) => Zones.FirstOrDefault(z => z.Kind == kind && z.Panel == part);
}

/// <summary>One printed sheet of a cover, with its strips from left to right.</summary>
public sealed record Sheet(
    Size Size, Box Trim, Box Safe, ImmutableArray<Region> Regions, ImmutableArray<Length> Folds,
        ImmutableArray<Length> FoldsAcross,
    ImmutableArray<Panel> Panels, ImmutableArray<Zone> Zones)
    : Surface(Size, Trim, Safe, Folds, FoldsAcross, Panels, Zones);
