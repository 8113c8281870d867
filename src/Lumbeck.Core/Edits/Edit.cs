using System.Text.Json.Serialization;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>
/// One change to a job, as a value. Browser, command line and tests all come through <see cref="Apply"/>.
/// An edit is added by adding a record and naming it here.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "is")]
[JsonDerivedType(typeof(SetFact), "set-fact")]
[JsonDerivedType(typeof(SetIsbn), "set-isbn")]
[JsonDerivedType(typeof(SetHouse), "set-house")]
[JsonDerivedType(typeof(SetBinding), "set-binding")]
[JsonDerivedType(typeof(SetReading), "set-reading")]
[JsonDerivedType(typeof(SetTrim), "set-trim")]
[JsonDerivedType(typeof(SetPages), "set-pages")]
[JsonDerivedType(typeof(SetPaper), "set-paper")]
[JsonDerivedType(typeof(SetFlaps), "set-flaps")]
[JsonDerivedType(typeof(SetUnit), "set-unit")]
[JsonDerivedType(typeof(PinSpine), "pin-spine")]
[JsonDerivedType(typeof(SetPeople), "set-people")]
[JsonDerivedType(typeof(SetPrice), "set-price")]
[JsonDerivedType(typeof(SetLanguage), "set-language")]
[JsonDerivedType(typeof(SetInsideColour), "set-inside-colour")]
[JsonDerivedType(typeof(SetBack), "set-back")]
[JsonDerivedType(typeof(SetPlates), "set-plates")]
[JsonDerivedType(typeof(SetDummy), "set-dummy")]
[JsonDerivedType(typeof(SetEndpapers), "set-endpapers")]
[JsonDerivedType(typeof(SetPrinterSays), "set-printer-says")]
[JsonDerivedType(typeof(LayInside), "lay-inside")]
[JsonDerivedType(typeof(TakeInside), "take-inside")]
[JsonDerivedType(typeof(AddItem), "add-item")]
[JsonDerivedType(typeof(RemoveItem), "remove-item")]
[JsonDerivedType(typeof(OrderItem), "order-item")]
[JsonDerivedType(typeof(HideItem), "hide-item")]
[JsonDerivedType(typeof(LockItem), "lock-item")]
[JsonDerivedType(typeof(HoldItem), "hold-item")]
[JsonDerivedType(typeof(MoveItem), "move-item")]
[JsonDerivedType(typeof(DropItem), "drop-item")]
[JsonDerivedType(typeof(CentreItem), "centre-item")]
[JsonDerivedType(typeof(StretchItem), "stretch-item")]
[JsonDerivedType(typeof(CopyItem), "copy-item")]
[JsonDerivedType(typeof(LayItem), "lay-item")]
[JsonDerivedType(typeof(Together), "together")]
[JsonDerivedType(typeof(LineUp), "line-up")]
[JsonDerivedType(typeof(SpaceOut), "space-out")]
[JsonDerivedType(typeof(SameSize), "same-size")]
[JsonDerivedType(typeof(GroupItems), "group-items")]
[JsonDerivedType(typeof(Ungroup), "ungroup")]
[JsonDerivedType(typeof(SwapCovers), "swap-covers")]
[JsonDerivedType(typeof(PasteItems), "paste-items")]
[JsonDerivedType(typeof(AddTake), "add-take")]
[JsonDerivedType(typeof(ChooseTake), "choose-take")]
[JsonDerivedType(typeof(NameTake), "name-take")]
[JsonDerivedType(typeof(RemoveTake), "remove-take")]
[JsonDerivedType(typeof(BringBack), "bring-back")]
[JsonDerivedType(typeof(Looked), "looked")]
[JsonDerivedType(typeof(SizeItem), "size-item")]
[JsonDerivedType(typeof(TurnItem), "turn-item")]
[JsonDerivedType(typeof(SetWords), "set-words")]
[JsonDerivedType(typeof(StyleText), "style-text")]
[JsonDerivedType(typeof(FitText), "fit-text")]
[JsonDerivedType(typeof(EdgeText), "edge-text")]
[JsonDerivedType(typeof(ShadowText), "shadow-text")]
[JsonDerivedType(typeof(BackText), "back-text")]
[JsonDerivedType(typeof(FillShape), "fill-shape")]
[JsonDerivedType(typeof(LineShape), "line-shape")]
[JsonDerivedType(typeof(WeighLine), "weigh-line")]
[JsonDerivedType(typeof(DashLine), "dash-line")]
[JsonDerivedType(typeof(RoundCorner), "round-corner")]
[JsonDerivedType(typeof(ShapePolygon), "shape-polygon")]
[JsonDerivedType(typeof(ThickenFrame), "thicken-frame")]
[JsonDerivedType(typeof(RulePlate), "rule-plate")]
[JsonDerivedType(typeof(HangPicture), "hang-picture")]
[JsonDerivedType(typeof(FitPicture), "fit-picture")]
[JsonDerivedType(typeof(PushPicture), "push-picture")]
[JsonDerivedType(typeof(NameItem), "name-item")]
[JsonDerivedType(typeof(KeepWhole), "keep-whole")]
[JsonDerivedType(typeof(FadeItem), "fade-item")]
[JsonDerivedType(typeof(BlendItem), "blend-item")]
[JsonDerivedType(typeof(NumberBarcode), "number-barcode")]
[JsonDerivedType(typeof(MagnifyBarcode), "magnify-barcode")]
[JsonDerivedType(typeof(PaintGround), "paint-ground")]
[JsonDerivedType(typeof(LayPaper), "lay-paper")]
[JsonDerivedType(typeof(SeedPaper), "seed-paper")]
[JsonDerivedType(typeof(PaintPaper), "paint-paper")]
[JsonDerivedType(typeof(AddSwatch), "add-swatch")]
[JsonDerivedType(typeof(SetSwatch), "set-swatch")]
[JsonDerivedType(typeof(RemoveSwatch), "remove-swatch")]
[JsonDerivedType(typeof(FramePicture), "frame-picture")]
[JsonDerivedType(typeof(TilePicture), "tile-picture")]
[JsonDerivedType(typeof(GrowPicture), "grow-picture")]
[JsonDerivedType(typeof(ConvertPicture), "convert-picture")]
[JsonDerivedType(typeof(LayTracing), "lay-tracing")]
[JsonDerivedType(typeof(WaiveRule), "waive-rule")]
[JsonDerivedType(typeof(PriceBarcode), "price-barcode")]
[JsonDerivedType(typeof(ShapeBarcode), "shape-barcode")]
[JsonDerivedType(typeof(SetCode), "set-code")]
public abstract record Edit
{
    /// <summary>The facts this edit changes, as paths; two edits that share none can't conflict.</summary>
    [JsonIgnore]
    public abstract IEnumerable<string> Touches { get; }

    /// <summary>What was done, for a list of steps: “pages”, “words of Title”.</summary>
    public abstract string Says(Job before);

    protected abstract Job On(Job job);

    /// <summary>The one door: the job after this edit, or a refusal with the job untouched.</summary>
    /// <exception cref="Refusal">What was asked can't be made; the fact is named.</exception>
    public Job Apply(Job job)
    {
        var after = On(job);
        // A sheet that can't be made is refused here, whichever fact it was that spoilt it.
        if (ReferenceEquals(after.Ticket, job.Ticket)) return after;
        _ = after.Sheets();
        return after.WithPieces();
    }
}
