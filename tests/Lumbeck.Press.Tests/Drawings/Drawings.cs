namespace Lumbeck.Press.Tests.Drawings;

/// <summary>
/// Small drawings, each of something that SVG says in its own way; 120 × 90 where they do not say otherwise.
/// </summary>
internal static class All
{
    public static IReadOnlyList<(string Name, string Svg)> Of { get; } =
    [
        // Strokes.
        ("a miter by default", S("<path d='M20 70 60 20 100 70' fill='none' stroke='#333' stroke-width='14'/>")),
        ("round joins and caps",
            S("<path d='M20 70 60 20 100 70' fill='none' stroke='#333' stroke-width='14' stroke-linejoin='round' " +
                "stroke-linecap='round'/>")),
        ("bevel joins, square caps",
            S("<path d='M20 70 60 20 100 70' fill='none' stroke='#333' stroke-width='14' stroke-linejoin='bevel' " +
                "stroke-linecap='square'/>")),
        ("a miter cut off",
            S("<path d='M20 75 60 10 100 75' fill='none' stroke='navy' stroke-width='10' stroke-miterlimit='1.2'/>")),
        ("a long miter",
            S("<path d='M40 80 60 30 80 80' fill='none' stroke='navy' stroke-width='8' stroke-miterlimit='9'/>")),
        ("dashes",
            S("<path d='M10 30H110' stroke='#b33' stroke-width='8' stroke-dasharray='14 6 3'/><path d='M10 60H110' " +
                "stroke='#b33' stroke-width='8' stroke-dasharray='12,8' stroke-dashoffset='9'/>")),
        ("round dots", S("<path d='M15 45H105' stroke='green' stroke-width='10' stroke-dasharray='0 18' stroke-linecap='round'/>")),
        ("a stroke stretched",
            S("<g transform='scale(3 1)'><circle cx='20' cy='45' r='14' fill='none' stroke='teal' stroke-width='5'/></g>")),
        ("a stroke that leans",
            S("<g transform='skewX(35)'><rect x='5' y='20' width='40' height='50' fill='gold' stroke='black' stroke-width='6'/></g>")),
        ("a stroke in percent", S("<path d='M10 45H110' stroke='purple' stroke-width='10%'/>")),
        ("stroke under fill",
            S("<circle cx='60' cy='45' r='25' fill='orange' stroke='blue' stroke-width='16' paint-order='stroke'/>")),
        ("a graded stroke",
            S("<linearGradient id='g'><stop stop-color='red'/><stop offset='1' " +
                "stop-color='blue'/></linearGradient><path d='M15 70C40 0 80 90 105 20' fill='none' stroke='url(#g)' " +
                "stroke-width='12'/>")),
        ("a stroke of no width",
            S("<rect x='20' y='20' width='80' height='50' fill='silver' stroke='red' stroke-width='0'/>")),
        // Shapes.
        ("a rounded rectangle of two radii",
            S("<rect x='15' y='15' width='90' height='60' rx='40' ry='12' fill='#264'/>")),
        ("one radius for both", S("<rect x='15' y='15' width='90' height='60' ry='20' fill='#264'/>")),
        ("radii over half", S("<rect x='15' y='15' width='90' height='40' rx='80' ry='80' fill='#264'/>")),
        ("points without gaps",
            S("<polygon points='10.5.5 100.5,10-0L60.5.5'/>".Replace("L", " ", StringComparison.Ordinal))),
        ("points with signs", S("<polyline points='10,10 50-5 90,10+0 80' fill='#845' transform='translate(5 8)'/>")),
        ("arcs", S("<path d='M20 45A40 25 30 0 1 100 45A20 30 0 1 0 60 60Z' fill='#a52'/>")),
        ("arcs with flags run together",
            S("<path d='M20 45a40 25 0 0150 0a10 10 0 1130 10' fill='none' stroke='#a52' stroke-width='4'/>")),
        ("smooth curves",
            S("<path d='M10 60C30 0 50 0 60 45S90 90 110 30' fill='none' stroke='#05a' stroke-width='5'/><path " +
                "d='M10 80Q30 40 50 80T90 80' fill='none' stroke='#0a5' stroke-width='4'/>")),
        ("relative lines", S("<path d='m10 10 h40 v30 l-20 30 h-20z m60 0 h40 v60 h-40 z' fill='#383'/>")),
        ("ellipse and circle",
            S("<ellipse cx='40' cy='45' rx='30' ry='15' fill='pink'/><circle cx='90' cy='45' r='20' fill='crimson'/>")),
        ("an ellipse of one radius", S("<ellipse cx='60' cy='45' rx='25' fill='slateblue'/>")),
        ("even-odd", S("<path fill-rule='evenodd' d='M60 5 85 80 20 32H100L35 80Z' fill='#b60'/>")),
        ("non-zero", S("<path d='M60 5 85 80 20 32H100L35 80Z' fill='#b60'/>")),
        ("units",
            S("<rect x='5mm' y='10pt' width='.5in' height='1cm' fill='#407'/><rect x='4pc' y='20q' width='20px' " +
                "height='30' fill='#074'/>")),
        ("percent", S("<rect x='10%' y='20%' width='50%' height='50%' fill='#666'/><circle cx='80%' cy='50%' r='10%' fill='#c44'/>")),
        // Styles.
        ("an id",
            S("<style>#a{fill:red} rect{fill:blue}</style><rect id='a' x='10' y='10' width='40' height='60'/><rect " +
                "x='60' y='10' width='40' height='60'/>")),
        ("a type and a class",
            S("<style>rect.g{fill:green} .g{fill:gold}</style><rect class='g' x='10' y='10' width='40' " +
                "height='60'/><circle class='g' cx='85' cy='40' r='25'/>")),
        ("a descendant",
            S("<style>g .d{fill:red} g > circle{fill:blue}</style><g><rect class='d' x='10' y='10' width='40' " +
                "height='60'/><g><circle cx='85' cy='40' r='25'/></g></g><rect class='d' x='55' y='70' width='20' " +
                "height='15'/>")),
        ("beside one another",
            S("<style>rect + circle{fill:orange} rect ~ ellipse{fill:teal}</style><rect x='5' y='10' width='30' " +
                "height='60'/><circle cx='60' cy='40' r='20'/><ellipse cx='100' cy='40' rx='15' ry='30'/>")),
        ("important", S("<style>.i{fill:lime !important}</style><rect class='i' style='fill:red' x='20' y='20' width='80' height='50'/>")),
        ("later rules win",
            S("<style>.a{fill:red}.b{fill:blue}</style><rect class='b a' x='20' y='20' width='80' height='50'/>")),
        ("after a comment",
            S("<style>/* one */ .a /* two */ { /* fill:red; */ fill:#0aa } </style><rect class='a' x='20' y='20' " +
                "width='80' height='50'/>")),
        ("media",
            S("<style>.a{fill:orange} @media print{.a{fill:red}} @media " +
                "screen{.a{stroke:navy;stroke-width:6}}</style><rect class='a' x='20' y='20' width='80' height='50'/>")),
        ("an attribute selector",
            S("<style>[data-k='2']{fill:deeppink}</style><rect data-k='1' x='10' y='20' width='40' " +
                "height='50'/><rect data-k='2' x='65' y='20' width='40' height='50'/>")),
        ("style over attribute", S("<rect fill='red' style='fill:#357' x='20' y='20' width='80' height='50'/>")),
        ("sheet over attribute",
            S("<style>rect{fill:#753}</style><rect fill='red' x='20' y='20' width='80' height='50'/>")),
        ("inherited and current colour",
            S("<g fill='none' stroke='currentColor' color='#c0c' stroke-width='7'><circle cx='40' cy='45' r='25'/><g " +
                "color='#0cc'><circle cx='80' cy='45' r='25'/></g></g>")),
        ("a width by CSS", S("<style>rect{width:70px;height:40px;x:25px;y:25px}</style><rect fill='#484'/>")),
        ("a CSS placing", S("<rect style='transform:translate(60px,10px) rotate(30deg) scale(1.5,.8);fill:#939' width='40' height='40'/>")),
        ("visible within hidden",
            S("<g visibility='hidden'><rect x='10' y='10' width='40' height='60' fill='red'/><rect " +
                "visibility='visible' x='60' y='10' width='40' height='60' fill='green'/></g>")),
        ("not displayed",
            S("<g display='none'><rect width='120' height='90'/></g><circle cx='60' cy='45' r='30' fill='#258'/>")),
        ("colours",
            S("<rect width='30' height='90' fill='rgb(100%,40%,0%)'/><rect x='30' width='30' height='90' " +
                "fill='hsl(210,60%,40%)'/><rect x='60' width='30' height='90' fill='lightseagreen'/><rect x='90' " +
                "width='30' height='90' fill='#8a2f'/>")),
        // Gradients.
        ("a gradient across a box",
            S("<linearGradient id='g'><stop stop-color='#fd0'/><stop offset='100%' " +
                "stop-color='#06c'/></linearGradient><rect x='10' y='10' width='100' height='70' fill='url(#g)'/>")),
        ("a diagonal over a flat box",
            S("<linearGradient id='g' x2='1' y2='1'><stop stop-color='white'/><stop offset='.5' " +
                "stop-color='red'/><stop offset='1' stop-color='black'/></linearGradient><rect x='5' y='25' " +
                "width='110' height='30' fill='url(#g)'/>")),
        ("reflected",
            S("<linearGradient id='g' x1='.4' x2='.6' spreadMethod='reflect'><stop stop-color='#fff'/><stop " +
                "offset='1' stop-color='#054'/></linearGradient><rect x='5' y='15' width='110' height='60' fill='url(#g)'/>")),
        ("repeated",
            S("<linearGradient id='g' gradientUnits='userSpaceOnUse' x1='20' x2='40' spreadMethod='repeat'><stop " +
                "stop-color='#fff'/><stop offset='1' stop-color='#603'/></linearGradient><rect x='5' y='15' " +
                "width='110' height='60' fill='url(#g)'/>")),
        ("round",
            S("<radialGradient id='g'><stop stop-color='#fff'/><stop offset='1' " +
                "stop-color='#038'/></radialGradient><circle cx='60' cy='45' r='40' fill='url(#g)'/>")),
        ("round over a flat box",
            S("<radialGradient id='g'><stop stop-color='#fff'/><stop offset='1' " +
                "stop-color='#803'/></radialGradient><rect x='5' y='25' width='110' height='40' fill='url(#g)'/>")),
        ("from a focus",
            S("<radialGradient id='g' fx='.25' fy='.35'><stop stop-color='#ff0'/><stop offset='1' " +
                "stop-color='#063'/></radialGradient><circle cx='60' cy='45' r='42' fill='url(#g)'/>")),
        ("round and repeated",
            S("<radialGradient id='g' r='.2' spreadMethod='repeat'><stop stop-color='#fff'/><stop offset='1' " +
                "stop-color='#444'/></radialGradient><rect x='10' y='5' width='100' height='80' fill='url(#g)'/>")),
        ("a gradient turned and stretched",
            S("<radialGradient id='g' gradientUnits='userSpaceOnUse' cx='0' cy='0' r='20' " +
                "gradientTransform='translate(60 45) rotate(30) scale(2 1)'><stop stop-color='#fff'/><stop " +
                "offset='1' stop-color='#a00'/></radialGradient><rect width='120' height='90' fill='url(#g)'/>")),
        ("from another's stops",
            S("<linearGradient id='s'><stop stop-color='#0c8'/><stop offset='1' " +
                "stop-color='#204'/></linearGradient><linearGradient id='g' href='#s' x2='0' y2='1'/><rect x='20' " +
                "y='10' width='80' height='70' fill='url(#g)'/>")),
        ("styled stops",
            S("<style>.s{stop-color:#0a0}</style><linearGradient id='g'><stop class='s'/><stop offset='1' " +
                "style='stop-color:#a0a'/></linearGradient><rect x='20' y='10' width='80' height='70' fill='url(#g)'/>")),
        ("one stop",
            S("<linearGradient id='g'><stop offset='.5' stop-color='#369'/></linearGradient><rect x='20' y='10' " +
                "width='80' height='70' fill='url(#g)'/>")),
        // Clips.
        ("a clip",
            S("<clipPath id='c'><circle cx='60' cy='45' r='35'/></clipPath><rect width='120' height='90' fill='#b50' " +
                "clip-path='url(#c)'/>")),
        ("a clip of two",
            S("<clipPath id='c'><circle cx='45' cy='45' r='30'/><rect x='50' y='20' width='50' " +
                "height='30'/></clipPath><rect width='120' height='90' fill='#05b' clip-path='url(#c)'/>")),
        ("a clip by use",
            S("<defs><circle id='o' cx='30' cy='45' r='28'/></defs><clipPath id='c'><use href='#o' " +
                "x='30'/></clipPath><rect width='120' height='90' fill='#5b0' clip-path='url(#c)'/>")),
        ("a clip by even-odd",
            S("<clipPath id='c'><path clip-rule='evenodd' d='M60 5 85 80 20 32H100L35 80Z'/></clipPath><rect " +
                "width='120' height='90' fill='#b05' clip-path='url(#c)'/>")),
        ("a clip in shares of a box",
            S("<clipPath id='c' clipPathUnits='objectBoundingBox'><circle cx='.5' cy='.5' r='.4'/></clipPath><rect " +
                "x='10' y='20' width='100' height='50' fill='#50b' clip-path='url(#c)'/>")),
        ("a clipped clip",
            S("<clipPath id='a'><rect x='30' y='0' width='40' height='90'/></clipPath><clipPath id='c' " +
                "clip-path='url(#a)'><circle cx='60' cy='45' r='35'/></clipPath><g clip-path='url(#c)'><rect " +
                "width='120' height='90' fill='#0bb'/></g>")),
        // Structure.
        ("use and symbol",
            S("<symbol id='s' viewBox='0 0 10 10'><rect width='10' height='10' fill='#840'/><circle cx='5' cy='5' " +
                "r='5' fill='#fc8'/></symbol><use href='#s' x='10' y='10' width='40' height='70'/><use href='#s' " +
                "x='65' y='20' width='50' height='50'/>")),
        ("an inner drawing",
            S("<svg x='10' y='10' width='60' height='70' viewBox='0 0 20 10' preserveAspectRatio='xMaxYMin " +
                "slice'><rect width='20' height='10' fill='#369'/><circle cx='15' cy='5' r='4' fill='#fff'/></svg>")),
        ("what leaves its drawing",
            S("<svg x='20' y='20' width='40' height='40'><circle cx='40' cy='40' r='35' fill='#c33'/></svg><svg " +
                "x='70' y='20' width='20' height='20' overflow='visible'><circle cx='20' cy='20' r='20' fill='#3c3'/></svg>")),
        ("a switch",
            S("<switch><rect systemLanguage='xx' width='120' height='90' fill='red'/><circle cx='60' cy='45' r='35' " +
                "fill='green'/><rect width='120' height='90' fill='blue'/></switch>")),
        ("use within use",
            S("<g id='a'><rect id='r' x='5' y='5' width='20' height='20' fill='#08c'/></g><use href='#a' " +
                "x='35'/><use href='#r' x='70' y='40' fill='red'/>")),
        ("a use's own colour",
            S("<defs><path id='p' d='M0 0h30v30z'/></defs><use href='#p' x='10' y='30' fill='tomato'/><use href='#p' " +
                "x='60' y='20' fill='none' stroke='navy' stroke-width='4'/>")),
        ("markers",
            S("<marker id='m' viewBox='0 0 10 10' refX='5' refY='5' markerWidth='4' markerHeight='4' " +
                "orient='auto'><path d='M0 0 10 5 0 10z' fill='#c00'/></marker><path d='M15 70 45 20 75 60 105 20' " +
                "fill='none' stroke='#333' stroke-width='4' marker-start='url(#m)' marker-mid='url(#m)' " +
                "marker-end='url(#m)'/>")),
        ("markers that turn at the start",
            S("<marker id='m' markerUnits='userSpaceOnUse' refX='0' refY='6' markerWidth='14' markerHeight='12' " +
                "orient='auto-start-reverse'><path d='M0 0 14 6 0 12z' fill='#08a'/></marker><line x1='30' y1='45' " +
                "x2='90' y2='45' stroke='black' stroke-width='3' marker-start='url(#m)' marker-end='url(#m)'/>")),
        ("a root of another shape",
            "<svg xmlns='http://www.w3.org/2000/svg' width='120' height='90' viewBox='0 0 100 100'><rect width='100' " +
                "height='100' fill='#579'/><circle cx='50' cy='50' r='40' fill='#fe8'/></svg>"),
        ("a root that stretches",
            "<svg xmlns='http://www.w3.org/2000/svg' width='120' height='90' viewBox='0 0 100 100' " +
                "preserveAspectRatio='none'><circle cx='50' cy='50' r='45' fill='#975'/></svg>"),
        ("a root whose box begins elsewhere",
            "<svg xmlns='http://www.w3.org/2000/svg' width='120' height='90' viewBox='-60 -45 120 90'><rect x='-50' " +
                "y='-35' width='100' height='70' fill='#7a5'/><circle r='30' fill='#257'/></svg>"),
        ("a root of a hundred percent",
            "<svg xmlns='http://www.w3.org/2000/svg' width='100%' height='100%' viewBox='0 0 120 90'><rect x='10' " +
                "y='10' width='100' height='70' fill='#a75'/></svg>"),
        ("placings in a row",
            S("<g transform='translate(60,45)rotate(45)scale(.8)'><rect x='-40' y='-20' width='80' height='40' fill='#646'/></g>")),
        ("a turn about a point",
            S("<rect x='40' y='25' width='40' height='40' fill='#466' transform='rotate(30 60 45)'/>")),
        ("words", W("<text x='10' y='50' font-family='Work Sans' font-size='24' fill='#235'>Quick Wa</text>")),
        ("words about their middle",
            W("<text x='60' y='40' text-anchor='middle' style='font:bold 20px &quot;EB Garamond&quot;'>Tidal</text>" +
                "<text x='60' y='70' text-anchor='end' font-family='Oswald' font-size='14pt'>Road</text>")),
        ("parts of words",
            W("<text x='8' y='40' font-family='Zilla Slab' font-size='18'>one <tspan fill='crimson' font-weight='700'>" +
                "two</tspan><tspan x='8' dy='1.5em'>three</tspan> <tspan font-size='150%'>4</tspan></text>")),
        ("letters with places of their own",
            W("<text x='10 30 55 80' y='40 50 60' font-family='Work Sans' font-size='20'>ABCDE</text>" +
                "<text x='10' y='85' dx='0 4 4' font-family='Work Sans' font-size='14' letter-spacing='.1em'>spaced</text>")),
        ("words with an edge",
            W("<text transform='translate(5 10)' x='3' y='45' font-family='League Spartan' font-size='40' fill='gold' " +
                "stroke='navy' stroke-width='5' paint-order='stroke'>Edged</text>")),
        ("words from right to left",
            W("<text x='110' y='50' direction='rtl' font-family='Frank Ruhl Libre' font-size='26'>ספר 12</text>")),
        ("words hung by their middle",
            W("<text x='10' y='45' dominant-baseline='central' font-family='EB Garamond' font-size='40' " +
                "xml:space='preserve'>a  b</text>")),
        ("notes of other programs",
            "<svg xmlns='http://www.w3.org/2000/svg' xmlns:x='http://example.org/x' viewBox='0 0 120 90'><x:view " +
                "a='1'><x:guide/></x:view><metadata><x:rdf/></metadata><title>t</title><rect x:label='r' x='20' " +
                "y='20' width='80' height='50' fill='#642'/></svg>"),
    ];

    /// <summary>Words, which browsers else move to whole pixels.</summary>
    private static string W(string within) => S(within.Replace("<text ", "<text text-rendering='geometricPrecision' ",
        StringComparison.Ordinal));

    private static string S(string within) => $"<svg xmlns='http://www.w3.org/2000/svg' " +
        $"xmlns:xlink='http://www.w3.org/1999/xlink' viewBox='0 0 120 90' width='120' height='90'>{within}</svg>";
}
