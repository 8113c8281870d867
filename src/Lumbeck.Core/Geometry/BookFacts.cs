namespace Lumbeck.Core.Geometry;

/// <summary>What geometry reads of a book: everything that moves the sheet, nothing else.</summary>
public sealed record BookFacts(BindingKind Binding, Reading Reading, Size Trim, int Pages, Paper Paper, bool Flaps = false, Length? FlapWidth = null, Length? PinnedSpine = null, bool RoundBack = false);

/// <summary>A figure with its working, made where it is computed. <paramref name="Text"/> ends in the figure itself.</summary>
public sealed record Sum(string Name, string Text);
