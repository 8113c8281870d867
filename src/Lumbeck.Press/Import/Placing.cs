namespace Lumbeck.Press.Import;

/// <summary>A part of a page that came, laid on a page that leaves.</summary>
/// <param name="Page">Which, from 0.</param>
/// <param name="Place">From the page's own space to the leaving one's, both in points from the lower left, y up.</param>
/// <param name="Clip">How far it is seen, on the page that leaves.</param>
internal sealed record PlacedPart(int Page, Affine Place, Bounds Clip);

/// <summary>A page that leaves.</summary>
/// <param name="Wide">With its bleed, in points.</param>
/// <param name="High">With its bleed, in points.</param>
/// <param name="Trim">What is left when it is cut; from the lower left, y up.</param>
/// <param name="Parts">What lies on it; nothing on a blank.</param>
internal sealed record LeavingPage(double Wide, double High, Bounds Trim, ImmutableArray<PlacedPart> Parts);
