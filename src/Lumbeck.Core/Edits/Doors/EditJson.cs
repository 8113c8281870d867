using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Edits.Doors;

/// <summary>Edits as JSON: every kind of edit by its word.</summary>
public static class EditJson
{
    public static string Write(Edit edit) => JsonSerializer.Serialize(edit, Options);

    /// <exception cref="JsonException">It is no edit.</exception>
    public static Edit Read(string json) =>
        JsonSerializer.Deserialize<Edit>(json, Options) ?? throw new JsonException("An empty edit.");

    /// <summary>Every kind of edit.</summary>
    public static IReadOnlyList<(System.Type Kind, string Word)> Kinds { get; } =
    [
        (typeof(SetFact), "set-fact"),
        (typeof(SetIsbn), "set-isbn"),
        (typeof(SetHouse), "set-house"),
        (typeof(SetBinding), "set-binding"),
        (typeof(SetReading), "set-reading"),
        (typeof(SetTrim), "set-trim"),
        (typeof(SetPages), "set-pages"),
        (typeof(SetPaper), "set-paper"),
        (typeof(SetFlaps), "set-flaps"),
        (typeof(SetUnit), "set-unit"),
        (typeof(PinSpine), "pin-spine"),
        (typeof(SetContributors), "set-people"),
        (typeof(SetPrice), "set-price"),
        (typeof(SetTicketPicture), "set-ticket-picture"),
        (typeof(LayTakes), "lay-takes"),
        (typeof(SetAgain), "set-again"),
        (typeof(LayBeside), "lay-beside"),
        (typeof(DropBeside), "drop-beside"),
        (typeof(SetSecondPrice), "set-second-price"),
        (typeof(SetReviewQuotes), "set-quotations"),
        (typeof(SetLanguage), "set-language"),
        (typeof(SetInsideColour), "set-inside-colour"),
        (typeof(SetBack), "set-back"),
        (typeof(SetPlates), "set-plates"),
        (typeof(SetDummy), "set-dummy"),
        (typeof(SetEndpapers), "set-endpapers"),
        (typeof(SetPrinterSays), "set-printer-says"),
        (typeof(LayInside), "lay-inside"),
        (typeof(TakeInside), "take-inside"),
        (typeof(AddRun), "add-run"),
        (typeof(RemoveRun), "remove-run"),
        (typeof(MoveRun), "move-run"),
        (typeof(DuplicateRun), "copy-run"),
        (typeof(ChangeRun), "set-run"),
        (typeof(SetDesignField), "set-design-field"),
        (typeof(SetDesign), "set-design"),
        (typeof(HangOnPage), "hang-on-page"),
        (typeof(LayBehind), "lay-behind"),
        (typeof(LayTable), "lay-table"),
        (typeof(SetInside), "set-inside"),
        (typeof(BeginInside), "begin-inside"),
        (typeof(PutInsideBy), "put-inside-by"),
        (typeof(SetField), "set-field"),
        (typeof(AddItem), "add-item"),
        (typeof(RemoveItem), "remove-item"),
        (typeof(OrderItem), "order-item"),
        (typeof(HideItem), "hide-item"),
        (typeof(LockItem), "lock-item"),
        (typeof(HoldItem), "hold-item"),
        (typeof(MoveItem), "move-item"),
        (typeof(DropItem), "drop-item"),
        (typeof(CentreItem), "centre-item"),
        (typeof(StretchItem), "stretch-item"),
        (typeof(DuplicateItem), "copy-item"),
        (typeof(FourCorners), "four-corners"),
        (typeof(WordsInOrnament), "words-in-ornament"),
        (typeof(TakeApart), "take-apart"),
        (typeof(VistaInSwatches), "vista-in-swatches"),
        (typeof(LayItem), "lay-item"),
        (typeof(Together), "together"),
        (typeof(LineUp), "line-up"),
        (typeof(SpaceOut), "space-out"),
        (typeof(CentreGroup), "centre-group"),
        (typeof(SameSize), "same-size"),
        (typeof(GroupItems), "group-items"),
        (typeof(Ungroup), "ungroup"),
        (typeof(SwapCovers), "swap-covers"),
        (typeof(PasteItems), "paste-items"),
        (typeof(AddTake), "add-take"),
        (typeof(ChooseTake), "choose-take"),
        (typeof(NameTake), "name-take"),
        (typeof(RemoveTake), "remove-take"),
        (typeof(BringBack), "bring-back"),
        (typeof(MarkReviewed), "looked"),
        (typeof(SizeItem), "size-item"),
        (typeof(TurnItem), "turn-item"),
        (typeof(SetWords), "set-words"),
        (typeof(StyleText), "style-text"),
        (typeof(FitText), "fit-text"),
        (typeof(EdgeText), "edge-text"),
        (typeof(ShadowText), "shadow-text"),
        (typeof(BackText), "back-text"),
        (typeof(PatternShape), "pattern-shape"),
        (typeof(FillShape), "fill-shape"),
        (typeof(LineShape), "line-shape"),
        (typeof(HangPicture), "hang-picture"),
        (typeof(FitPicture), "fit-picture"),
        (typeof(PushPicture), "push-picture"),
        (typeof(NameItem), "name-item"),
        (typeof(KeepWhole), "keep-whole"),
        (typeof(FadeItem), "fade-item"),
        (typeof(BlendItem), "blend-item"),
        (typeof(PaintGround), "paint-ground"),
        (typeof(LayPattern), "lay-paper"),
        (typeof(CalmPattern), "calm-paper"),
        (typeof(MovePattern), "move-paper"),
        (typeof(SetGroundPattern), "set-ground-pattern"),
        (typeof(SetPattern), "set-pattern"),
        (typeof(AddSwatch), "add-swatch"),
        (typeof(SetSwatch), "set-swatch"),
        (typeof(RemoveSwatch), "remove-swatch"),
        (typeof(FramePicture), "frame-picture"),
        (typeof(TilePicture), "tile-picture"),
        (typeof(GrowPicture), "grow-picture"),
        (typeof(ConvertPicture), "convert-picture"),
        (typeof(LayTracing), "lay-tracing"),
        (typeof(WaiveRule), "waive-rule"),
    ];

    private static readonly JsonSerializerOptions Options = new(JobJson.Options)
    {
        TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { Named, PatternShelf.Told,
            DesignShelf.Told } },
    };

    private static void Named(JsonTypeInfo type)
    {
        if (type.Type != typeof(Edit)) return;
        type.PolymorphismOptions = new() { TypeDiscriminatorPropertyName = "is" };
        foreach (var (kind, word) in Kinds) type.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(kind, word));
    }
}
