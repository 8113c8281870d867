namespace Lumbeck.Web.Screens;

/// <summary>The keys of the Wrap screen, as they are listed behind the question mark.</summary>
public static class KeyList
{
    public static IReadOnlyList<(string Title, (string Key, string Does)[] Keys)> All { get; } =
    [
        ("Picking",
            [("click", "pick; Shift adds or takes away"), ("drag", "from an empty spot: a marquee"),
                ("double click", "one item of a group"), ("N, Shift N", "next item, the one before"),
                ("Ctrl A", "all that is not locked"), ("Enter, double click", "type in a text on the sheet"),
                ("Alt ↑, ↓", "the picked letters, or the word, larger, smaller"),
                ("other button", "what the item offers"), ("; (semicolon)", "the list of the panel pointed at"),
                ("Esc", "let go; leave the words")]),
        ("By hand",
            [("Shift", "one way only; in proportion; 15° steps"), ("Alt", "past lines and middles"),
                ("Ctrl", "size about the middle; push a picture in its frame"), ("Esc", "back to where it was"),
                ("arrows", "nudge; Shift ten times as far")]),
        ("Placing",
            [("C", "centre across the panel"), ("M", "middle of the panel"), ("K", "middle of the safe box"),
                ("J", "middle of the spine"), ("F", "fill the panel"), ("B", "out to the bleed"),
                ("W", "the whole sheet"), ("Q", "a quarter turn")]),
        ("Items",
            [("D", "duplicate"), ("O", "mirrored to the other cover"), ("X", "swap front and back"),
                ("G, U", "group, ungroup"), ("[ and ]", "one behind, one in front"), ("L, H", "lock, hide"),
                ("R", "grow a picture’s edge: the next way"), ("Delete", "remove"),
                ("Ctrl C, X, V", "copy, cut, paste on the panel pointed at")]),
        ("Seeing",
            [("S", "the whole sheet"), ("P", "the panel"), ("I", "the item"), ("T", "true size"),
                ("+, −", "nearer, farther"), ("wheel", "roll; with Ctrl nearer and farther"),
                ("Space and drag", "push the sheet about"), ("arrows", "the same, with nothing picked"),
                ("A", "one panel alone"), ("Z, held", "no zones"), ("E, Shift E", "edge tour: next stop, back"),
                ("$", "the front as shops show it"), ("Y", "the folded book"), ("V", "the sheet in words")]),
        ("Liveries, tried on",
            [("←, →", "the livery before, the next"), ("↑, ↓", "other colours"), ("S, Shift S", "another seed"),
                ("Enter", "take it, as a take of its own"), ("Esc", "leave; nothing is kept")]),
        ("History",
            [("1 to 5", "ticket, inside, wrap, check, press"), (", (comma)", "the next take"), ("Ctrl Z", "undo"),
                ("Ctrl Shift Z", "redo"), ("?", "this list")]),
    ];
}
