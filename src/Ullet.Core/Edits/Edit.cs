using System.Text.Json.Serialization;
using Ullet.Core.Drawings;
using Ullet.Core.Evaluation;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What edits may read beside the document.</summary>
public sealed record EditContext(Evaluator Evaluator)
{
    /// <summary>Drawings that were imported and are not yet in a document; none unless given.</summary>
    public IImportedDrawings Imports { get; init; } = new NoImports();

    /// <summary>Stitch files that were brought in; none unless given.</summary>
    public IStitchDesigns Designs { get; init; } = new NoDesigns();

    /// <summary>Drawings that a person put on the shelf; none unless given.</summary>
    public IOwnSketches OwnSketches { get; init; } = new NoOwnSketches();

    /// <summary>The parts that are kept; none unless given.</summary>
    public IKeptParts Parts { get; init; } = new NoParts();

    /// <summary>What is remembered of cutting across projects; nothing unless given.</summary>
    public IKeptCuts KeptCuts { get; init; } = new NoKeptCuts();

    /// <summary>The cloths and threads that a household owns; none unless given.</summary>
    public IStash Stash { get; init; } = new NoStash();

    /// <summary>Ends the edit when nobody waits for it.</summary>
    public CancellationToken Cancellation { get; init; }
}

/// <summary>One change that a person makes; one undo step.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "edit")]
[JsonDerivedType(typeof(AddBasting), "addBasting")]
[JsonDerivedType(typeof(AddCloth), "addCloth")]
[JsonDerivedType(typeof(AddDrawing), "addDrawing")]
[JsonDerivedType(typeof(AddNode), "addNode")]
[JsonDerivedType(typeof(AddOperation), "addOperation")]
[JsonDerivedType(typeof(AddPiece), "addPiece")]
[JsonDerivedType(typeof(KeepColourway), "keepColourway")]
[JsonDerivedType(typeof(WearColourway), "wearColourway")]
[JsonDerivedType(typeof(RemoveColourway), "removeColourway")]
[JsonDerivedType(typeof(CutAwayBeneath), "cutAwayBeneath")]
[JsonDerivedType(typeof(AddSketch), "addSketch")]
[JsonDerivedType(typeof(MakeSketch), "makeSketch")]
[JsonDerivedType(typeof(AddThread), "addThread")]
[JsonDerivedType(typeof(AddWords), "addWords")]
[JsonDerivedType(typeof(AddZone), "addZone")]
[JsonDerivedType(typeof(AlignElements), "alignElements")]
[JsonDerivedType(typeof(BendNode), "bendNode")]
[JsonDerivedType(typeof(CentreElements), "centreElements")]
[JsonDerivedType(typeof(ChangeCloth), "changeCloth")]
[JsonDerivedType(typeof(ChangeOperation), "changeOperation")]
[JsonDerivedType(typeof(ChangeThread), "changeThread")]
[JsonDerivedType(typeof(DistributeElements), "distributeElements")]
[JsonDerivedType(typeof(DrawFreehand), "drawFreehand")]
[JsonDerivedType(typeof(DrawLine), "drawLine")]
[JsonDerivedType(typeof(DuplicateElements), "duplicateElements")]
[JsonDerivedType(typeof(FitInto), "fitInto")]
[JsonDerivedType(typeof(FlipElements), "flipElements")]
[JsonDerivedType(typeof(FreezeElement), "freezeElement")]
[JsonDerivedType(typeof(GroupElements), "groupElements")]
[JsonDerivedType(typeof(HideElements), "hideElements")]
[JsonDerivedType(typeof(HoldStep), "holdStep")]
[JsonDerivedType(typeof(JoinLines), "joinLines")]
[JsonDerivedType(typeof(KeepTogether), "keepTogether")]
[JsonDerivedType(typeof(LayDirection), "layDirection")]
[JsonDerivedType(typeof(PlaceDirection), "placeDirection")]
[JsonDerivedType(typeof(LayOutAgain), "layOutAgain")]
[JsonDerivedType(typeof(LockElements), "lockElements")]
[JsonDerivedType(typeof(MakeConstruction), "makeConstruction")]
[JsonDerivedType(typeof(MatchSize), "matchSize")]
[JsonDerivedType(typeof(MarkFillIn), "markFillIn")]
[JsonDerivedType(typeof(UnmarkFillIn), "unmarkFillIn")]
[JsonDerivedType(typeof(ArrangeFillIns), "arrangeFillIns")]
[JsonDerivedType(typeof(ChooseAmong), "chooseAmong")]
[JsonDerivedType(typeof(MendEdge), "mendEdge")]
[JsonDerivedType(typeof(MirrorCloth), "mirrorCloth")]
[JsonDerivedType(typeof(MoveDesign), "moveDesign")]
[JsonDerivedType(typeof(MoveElements), "moveElements")]
[JsonDerivedType(typeof(MoveNodes), "moveNodes")]
[JsonDerivedType(typeof(MoveOperation), "moveOperation")]
[JsonDerivedType(typeof(MoveStep), "moveStep")]
[JsonDerivedType(typeof(NoteStep), "noteStep")]
[JsonDerivedType(typeof(PhotoStep), "photoStep")]
[JsonDerivedType(typeof(OpenStitches), "openStitches")]
[JsonDerivedType(typeof(SetOpened), "setOpened")]
[JsonDerivedType(typeof(SplitOpened), "splitOpened")]
[JsonDerivedType(typeof(JoinOpened), "joinOpened")]
[JsonDerivedType(typeof(EraseOpened), "eraseOpened")]
[JsonDerivedType(typeof(ExchangeSize), "exchangeSize")]
[JsonDerivedType(typeof(MakeLive), "makeLive")]
[JsonDerivedType(typeof(CutFromStitches), "cutFromStitches")]
[JsonDerivedType(typeof(EdgeRound), "edgeRound")]
[JsonDerivedType(typeof(LayBetween), "layBetween")]
[JsonDerivedType(typeof(DropPart), "dropPart")]
[JsonDerivedType(typeof(PasteElements), "pasteElements")]
[JsonDerivedType(typeof(PlaceElement), "placeElement")]
[JsonDerivedType(typeof(PlaceShape), "placeShape")]
[JsonDerivedType(typeof(PlanOrder), "planOrder")]
[JsonDerivedType(typeof(PutRight), "putRight")]
[JsonDerivedType(typeof(ReadCoupon), "readCoupon")]
[JsonDerivedType(typeof(RemoveElements), "removeElements")]
[JsonDerivedType(typeof(RemoveHandStep), "removeHandStep")]
[JsonDerivedType(typeof(RemoveNodes), "removeNodes")]
[JsonDerivedType(typeof(RemoveOperation), "removeOperation")]
[JsonDerivedType(typeof(RenameElement), "renameElement")]
[JsonDerivedType(typeof(RenameProject), "renameProject")]
[JsonDerivedType(typeof(ResetStages), "resetStages")]
[JsonDerivedType(typeof(ReshapePiece), "reshapePiece")]
[JsonDerivedType(typeof(RestackElement), "restackElement")]
[JsonDerivedType(typeof(ReverseLine), "reverseLine")]
[JsonDerivedType(typeof(SetBasting), "setBasting")]
[JsonDerivedType(typeof(SetCover), "setCover")]
[JsonDerivedType(typeof(SetCoverKind), "setCoverKind")]
[JsonDerivedType(typeof(SetCoverStretch), "setCoverStretch")]
[JsonDerivedType(typeof(SetCutAllowance), "setCutAllowance")]
[JsonDerivedType(typeof(SetCutProfile), "setCutProfile")]
[JsonDerivedType(typeof(SetCutRole), "setCutRole")]
[JsonDerivedType(typeof(SetDrift), "setDrift")]
[JsonDerivedType(typeof(SetHandStep), "setHandStep")]
[JsonDerivedType(typeof(SetHole), "setHole")]
[JsonDerivedType(typeof(SetHooping), "setHooping")]
[JsonDerivedType(typeof(SetLettering), "setLettering")]
[JsonDerivedType(typeof(SetLine), "setLine")]
[JsonDerivedType(typeof(SetMaking), "setMaking")]
[JsonDerivedType(typeof(SetMat), "setMat")]
[JsonDerivedType(typeof(SetMatPhoto), "setMatPhoto")]
[JsonDerivedType(typeof(SetMethod), "setMethod")]
[JsonDerivedType(typeof(SetNodeKind), "setNodeKind")]
[JsonDerivedType(typeof(SetOrder), "setOrder")]
[JsonDerivedType(typeof(SetPieceCloth), "setPieceCloth")]
[JsonDerivedType(typeof(SetRun), "setRun")]
[JsonDerivedType(typeof(SetSatin), "setSatin")]
[JsonDerivedType(typeof(ExchangeThread), "exchangeThread")]
[JsonDerivedType(typeof(ExchangeCloth), "exchangeCloth")]
[JsonDerivedType(typeof(SetFilled), "setFilled")]
[JsonDerivedType(typeof(SetFilm), "setFilm")]
[JsonDerivedType(typeof(LayGuide), "layGuide")]
[JsonDerivedType(typeof(BendRows), "bendRows")]
[JsonDerivedType(typeof(SetSheet), "setSheet")]
[JsonDerivedType(typeof(SetText), "setText")]
[JsonDerivedType(typeof(SetTolerances), "setTolerances")]
[JsonDerivedType(typeof(SetUnit), "setUnit")]
[JsonDerivedType(typeof(SetZone), "setZone")]
[JsonDerivedType(typeof(SetTrait), "setTrait")]
[JsonDerivedType(typeof(SetSeenThread), "setSeenThread")]
[JsonDerivedType(typeof(NameGroups), "nameGroups")]
[JsonDerivedType(typeof(PlaceElements), "placeElements")]
[JsonDerivedType(typeof(ShareMat), "shareMat")]
[JsonDerivedType(typeof(SkewElements), "skewElements")]
[JsonDerivedType(typeof(SplitLine), "splitLine")]
[JsonDerivedType(typeof(ToSheet), "toSheet")]
[JsonDerivedType(typeof(StayCentred), "stayCentred")]
[JsonDerivedType(typeof(StraightenStretch), "straightenStretch")]
[JsonDerivedType(typeof(SwitchStep), "switchStep")]
[JsonDerivedType(typeof(TakeThread), "takeThread")]
[JsonDerivedType(typeof(TakeCloth), "takeCloth")]
[JsonDerivedType(typeof(ResizeDesign), "resizeDesign")]
[JsonDerivedType(typeof(TouchEdge), "touchEdge")]
[JsonDerivedType(typeof(TouchLetter), "touchLetter")]
[JsonDerivedType(typeof(UsePattern), "usePattern")]
public abstract record Edit
{
    /// <summary>What a person would call it: "Move beet leaf".</summary>
    public abstract string Label(Project before);

    /// <summary>The document after the change, or why it can't be made. Pure.</summary>
    public abstract Result<Project> Apply(Project project, EditContext context);

    private protected static string NameOf(Project project, IReadOnlyList<string> elementIds) =>
        elementIds.Count == 1 ? project.Find(elementIds[0])?.Name ?? "element" : $"{elementIds.Count} elements";
}

/// <summary>The refusals that several edits share.</summary>
internal static class EditRefusals
{
    internal static Refusal NoElement(string id) =>
        new("element-unknown", "elementId", $"There is no element \"{id}\" in this project; it may have been deleted.")
        {
            Kind = RefusalKind.NotFound,
        };

    internal static Refusal WrongKind(Element element) =>
        new("element-unfit", "elementId", $"{element.Name} can't be changed in that way.")
        {
            Kind = RefusalKind.NotPossible,
        };

    internal static Refusal NeedlePoints(Element element) =>
        new(
            "element-unfit",
            "elementId",
            $"{element.Name} is needle points of a file, which have no outline to work on. Make it live first."
        )
        {
            Kind = RefusalKind.NotPossible,
        };

    internal static Refusal Locked(Element element) =>
        new("element-locked", "elementId", $"{element.Name} is locked. Unlock it first.")
        {
            Kind = RefusalKind.NotPossible,
        };

    internal static Refusal NoCloth(string id) =>
        new("cloth-unknown", "clothId", $"There is no cloth \"{id}\" in this project.") { Kind = RefusalKind.NotFound };

    internal static Refusal NoThread(string id) =>
        new("thread-unknown", "threadId", $"There is no thread \"{id}\" in this project.")
        {
            Kind = RefusalKind.NotFound,
        };
}
