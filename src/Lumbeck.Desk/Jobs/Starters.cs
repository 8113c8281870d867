namespace Lumbeck.Desk.Jobs;

/// <summary>What a new job and a new item begin with.</summary>
public static class Starters
{
    /// <summary>An empty cover for a house: a paperback on its first paper in its usual trim, bare ground in paper white.</summary>
    public static Job Job(House house, string title) => new Job(
        new Ticket
        {
            Title = Plain.Line(title),
            House = house,
            Unit = house.Unit,
            // What most books are, where the house binds it.
            Binding = house.Bindings.Contains(BindingKind.Paperback) ? BindingKind.Paperback : house.Bindings.FirstOrDefault(),
            Trim = house.Trims.FirstOrDefault()?.Size ?? Size.FromMillimetres(148, 210),
            Paper = house.Papers.FirstOrDefault() ?? new Paper("0.1 mm", Caliper.FromMillimetres(0.1m)),
            Pages = 200,
        },
        [],
        [Wrap.First(Core.Document.Job.Cover, new Fill(new InkPaint(Ink.White)))]).WithPieces();

    /// <summary>The same from its first facts, as they were typed; those left blank are the house's own.</summary>
    /// <exception cref="Refusal">A fact can't be read, or they make no sheet; the fact is named.</exception>
    public static Job Job(House house, string title, string? trim, string? pages, string? binding = null)
    {
        var job = Job(house, title);
        // The unit that a size is typed in is the job's, whatever the printer reckons in.
        if (LengthText.UnitIn(trim ?? "") is { } unit) job = new SetUnit(unit).Apply(job);
        foreach (var (path, text) in ((string, string?)[])[("ticket/binding", binding), ("ticket/trim", trim),
            ("ticket/pages", pages)])
            if (!string.IsNullOrWhiteSpace(text)) job = Facts.Write(job, path, text).Apply(job);
        return job.WithPieces();
    }

    /// <summary>The same from an inside PDF: its pages, its trim, and its name for a title.</summary>
    /// <exception cref="Refusal">Its pages make no sheet here.</exception>
    public static Job Job(House house, string title, InsideFile inside)
    {
        var job = Job(house, title.Length > 0 ? title : Path.GetFileNameWithoutExtension(inside.Name));
        return new TakeInside().Apply(new LayInside(inside).Apply(job));
    }

    /// <summary>
    /// A copy to work on: the same facts and covers under another title; number, printer's figures and inside are the
    /// next book's own.
    /// </summary>
    public static Job Copy(Job original) => original with
    {
        Ticket = original.Ticket with
        {
            Title = original.Ticket.Title.Length == 0 ? "" : original.Ticket.Title + ", copy",
            Isbn = null,
            PrinterSays = "",
            PinnedSpine = null,
            Inside = null,
            Dummy = null,
        },
    };

    /// <summary>What can be added to a panel, the usual first: (word, what the list says).</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="words">Whether words are printed there: houses print none on a narrow spine.</param>
    public static IReadOnlyList<(string Word, string Says)> For(Part panel, bool words = true) => panel switch
    {
        Part.Spine when !words => [("band", "band"), ("line", "line"), ("rectangle", "rectangle"),
            ("ellipse", "ellipse")],
        Part.Front =>
            [("title", "title"), ("subtitle", "subtitle"), ("author", "author"), ("picture", "picture"),
                ("plate", "label"), ("text", "text"), .. Shapes, .. DrawnStarters.Offered],
        Part.Back =>
            [("blurb", "blurb"), ("barcode", "barcode"), ("code", "QR code"), ("imprint", "imprint"),
                ("picture", "picture"), ("text", "text"), .. Shapes, .. DrawnStarters.Offered],
        Part.Spine =>
            [("title", "title"), ("author", "author"), ("imprint", "imprint"), ("band", "band"), ("line", "line"),
                ("rectangle", "rectangle"), ("ellipse", "ellipse"), ("paper", "pattern")],
        Part.FrontFlap or Part.BackFlap => [("text", "text"), ("picture", "picture"), .. Shapes,
            ("ornament", "ornament"), ("border", "border"), ("paper", "pattern")],
        _ => [("picture", "picture"), ("vista", "vista"), ("paper", "pattern"), .. Shapes, ("text", "text")],
    };

    private static readonly (string, string)[] Shapes = [("rectangle", "rectangle"), ("ellipse", "ellipse"),
        ("line", "line"), ("polygon", "polygon"), ("star", "star"), ("band", "band"), ("frame", "frame")];

    /// <summary>The words that stand where a book's own are still to be typed.</summary>
    public static string Placeholder(TextRole role) => role switch
    {
        TextRole.Title => "Title of the book",
        TextRole.Blurb => "What the book is about, in three short paragraphs.",
        TextRole.Note => "A few words about the author.",
        TextRole.Quotation => "What others say about the book.",
        TextRole.Free => "Your words",
        _ => role.ToString(),
    };

    /// <summary>A new item of this kind on this panel, saying what the ticket says where it can.</summary>
    /// <exception cref="Refusal">Nothing of that kind can be added.</exception>
    public static Item Item(Job job, string word, Part panel, string id, int wrap = 0)
    {
        var t = job.Ticket;
        var ground = job.Wraps[wrap].Take.Ground.Paint?.Resolve(job.Swatches) ?? Ink.White;
        Paint ink = new InkPaint(ground.K + ((ground.C + ground.M) / 2) > 5000 ? Ink.White : Ink.Black);
        var pt = Length.FromPoints;
        var spine = panel == Part.Spine;
        Hold at(Anchor a, decimal y = 0) => new(panel, HoldBox.Safe, a, default, pt(y));
        TextItem text(TextRole role, string says, Hold hold, decimal size, decimal high, Align align) => new()
        {
            Id = id,
            Hold = hold,
            Role = role,
            Words = says.Length > 0 ? says : Placeholder(role),
            Starter = says.Length == 0,
            Width = spine ? new(default, role == TextRole.Title ? 0.6m : 0.3m) : Span.Full,
            Height = spine ? Span.Full : new(pt(high)),
            // A spine's words are placed and sized with it, until a hand moves them.
            Composed = spine && (role is TextRole.Title or TextRole.Author or TextRole.Imprint),
            Style = new()
            {
                Face = new("eb-garamond", 400, false),
                Size = spine ? SpineSize(job) : pt(size),
                Align = align,
                Stand = spine ? Stand.Middle : Stand.Head,
                Paint = ink,
                Leading = role == TextRole.Blurb ? 1.35m : 1.1m
            },
        };
        // On a narrow spine a shape is no larger than the band that is safe there.
        Span small(decimal points) => spine ? new(SpineSize(job)) : new(pt(points));
        return word switch
        {
            "title" =>
                text(TextRole.Title, spine ? t.TitleOnSpine : t.Title,
                    spine ? at(Anchor.Left) : at(Anchor.Top, 72), 36, 96,
                    spine ? Align.Left : Align.Centre),
            "subtitle" => text(TextRole.Subtitle, t.Subtitle, at(Anchor.Top, 176), 16, 24, Align.Centre),
            "author" =>
                text(TextRole.Author, t.Author, spine ? at(Anchor.Right) : at(Anchor.Bottom, -24), 18, 26,
                    spine ? Align.Right : Align.Centre),
            "imprint" =>
                text(TextRole.Imprint, t.Imprint, spine ? at(Anchor.Right) : at(Anchor.BottomLeft), 9, 14,
                    spine ? Align.Right : Align.Left),
            "blurb" =>
                text(TextRole.Blurb, t.Blurb, at(Anchor.Top, 24), 11,
                    300, Align.Left),
            "text" => text(TextRole.Free, "", at(Anchor.Middle), 12, 60, Align.Left),
            "rectangle" => new RectItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = new(pt(144)),
                Height = new(pt(96)),
                Fill = ink,
            },
            "ellipse" => new EllipseItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = small(96),
                Height = small(96),
                Fill = ink,
            },
            "line" => new LineItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = spine ? new(pt(24)) : new(pt(96)),
                Line = ink,
                LineWidth = pt(1),
            },
            "polygon" => new PolygonItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = small(96),
                Height = small(96),
                Corners = 6,
                Fill = ink,
            },
            "star" => new PolygonItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = small(96),
                Height = small(96),
                Corners = 8,
                Waist = 60,
                Fill = ink,
            },
            // A band runs over its panel from bleed to bleed: the whole of a spine, a strip of anything else.
            "band" => new RectItem
            {
                Id = id,
                Name = "Band",
                Hold = new(panel, HoldBox.Edge, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = spine ? Span.Full : new(pt(72)),
                Fill = ink,
            },
            "frame" => new FrameItem
            {
                Id = id,
                Hold = new(panel, HoldBox.Edge, Anchor.Middle, default, default),
                Width = Span.Full,
                Height = Span.Full,
                Thickness = pt(18),
                Fill = ink,
            },
            "plate" => new PlateItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = new(default, 0.7m),
                Height = new(default, 0.36m),
                Fill = new InkPaint(Ink.White),
                Line = new InkPaint(Ink.Black),
                LineWidth = pt(1),
                Corner = pt(6),
                Inner = pt(4),
                Rules = 2,
            },
            "picture" => new PictureItem
            {
                Id = id,
                Hold = at(Anchor.Middle),
                Width = new(default, 0.6m),
                Height = new(default, 0.4m),
            },
            "barcode" => BarcodeItem.In(job.Ticket.House, id),
            "code" => new CodeItem { Id = id, Hold = at(Anchor.Middle) },
            _ when DrawnStarters.Of(job, word, panel, id, ink, ground) is { } drawn => drawn,
            _ => throw new Refusal("item", $"nothing called `{LengthText.Clip(word)}` can be added here"),
        };
    }

    /// <summary>
    /// A frame of a picture's own proportions in the middle of a panel: as large as the file says where that fits and
    /// is
    /// sharp, else as large as it stays sharp, within the panel; a drawing at six tenths of the panel's width.
    /// </summary>
    public static PictureItem Pictured(Job job, Part panel, string id, Picture picture, int wrap = 0)
    {
        var at = new Hold(panel, HoldBox.Safe, Anchor.Middle, default, default);
        var frame = new PictureItem { Id = id, Hold = at, Picture = picture, Width = Span.Full, Height = Span.Full };
        var sheet = job.SheetOf(frame, wrap);
        if (Placement.Of(frame, sheet) is not { } room)
            throw new Refusal("picture", $"this binding has no {panel.Say()} to put it on");
        var shape = (decimal)picture.Wide / picture.High;
        var most = Length.Min(room.Box.Width, shape * room.Box.Height);
        var sharp = Length.FromInches((decimal)picture.Wide / job.Ticket.House.PictureCaution);
        var wide = picture switch
        {
            { IsDrawing: true } => Length.Min(0.6m * room.Box.Width, most),
            { PerInch: { } said } when Length.FromInches(picture.Wide / said) is var own && own <= most
                && own <= sharp => own,
            _ => Length.Min(sharp, most),
        };
        // What has too few pixels for anything is still large enough to be seen and taken hold of.
        wide = Length.Max(wide, Length.Min(most, Length.FromMillimetres(10)));
        return frame with { Width = new(wide), Height = new((1 / shape) * wide) };
    }

    /// <summary>Type as tall as the spine's safe band carries, at most 24 pt.</summary>
    private static Length SpineSize(Job job)
    {
        var band = job.Geometry().Sheet.Panel(Part.Spine)?.Safe.Width.Points ?? 12;
        return Length.FromPoints((decimal)Math.Clamp(Math.Floor(band / 1.3), 4, 24));
    }
}
