namespace Lumbeck.Core.Type;

/// <summary>
/// A placed glyph: its id, its origin along and below the run's baseline in points, the letters it stands for (empty
/// where another glyph of the run has them), and how far it is turned about its origin, in degrees clockwise.
/// </summary>
public readonly record struct PlacedGlyph(ushort Id, double X, double Y, string Letters, double Turn = 0);
