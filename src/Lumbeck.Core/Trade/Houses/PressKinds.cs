namespace Lumbeck.Core.Trade.Houses;

public static class PressKinds
{
    /// <summary>The words of the command line.</summary>
    public static IReadOnlyList<(string Word, PressKind Value)> All { get; } =
        [("x4", PressKind.X4), ("x1a", PressKind.X1a), ("pdf", PressKind.Pdf), ("proof", PressKind.Proof),
            ("screen", PressKind.Screen), ("mockup", PressKind.Mockup)];

    /// <summary>Those a printer takes: the words of a house file.</summary>
    public static IReadOnlyList<(string Word, PressKind Value)> Words { get; } =
        [.. All.Where(k => k.Value.IsForPrinter)];

    extension(PressKind kind)
    {
        public string Word => All.First(w => w.Value == kind).Word;

        /// <summary>Whether it goes to a printer; the others are for eyes and scissors.</summary>
        public bool IsForPrinter => kind <= PressKind.Pdf;

        /// <summary>The standard's own name, or what it is for.</summary>
        public string Title => kind switch
        {
            PressKind.X4 => "PDF/X-4",
            PressKind.X1a => "PDF/X-1a:2003",
            PressKind.Pdf => "PDF",
            PressKind.Proof => "screen proof",
            PressKind.Screen => "front for screens",
            _ => "paper mock-up",
        };

        /// <summary>What its file name ends in.</summary>
        public string Ending => kind == PressKind.Screen ? ".jpg" : ".pdf";
    }
}
