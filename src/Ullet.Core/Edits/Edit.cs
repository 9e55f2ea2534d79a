using System.Text.Json.Serialization;
using Ullet.Core.Evaluation;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>What edits may read beside the document.</summary>
public sealed record EditContext(Evaluator Evaluator);

/// <summary>One change that a person makes; one undo step.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "edit")]
[JsonDerivedType(typeof(AddPiece), "addPiece")]
[JsonDerivedType(typeof(AddCloth), "addCloth")]
[JsonDerivedType(typeof(AddThread), "addThread")]
[JsonDerivedType(typeof(ChangeCloth), "changeCloth")]
[JsonDerivedType(typeof(ChangeThread), "changeThread")]
[JsonDerivedType(typeof(DuplicateElements), "duplicateElements")]
[JsonDerivedType(typeof(MirrorCloth), "mirrorCloth")]
[JsonDerivedType(typeof(MoveDesign), "moveDesign")]
[JsonDerivedType(typeof(MoveElements), "moveElements")]
[JsonDerivedType(typeof(NoteStep), "noteStep")]
[JsonDerivedType(typeof(PlaceElement), "placeElement")]
[JsonDerivedType(typeof(RemoveElements), "removeElements")]
[JsonDerivedType(typeof(RenameElement), "renameElement")]
[JsonDerivedType(typeof(RenameProject), "renameProject")]
[JsonDerivedType(typeof(ReshapePiece), "reshapePiece")]
[JsonDerivedType(typeof(RestackElement), "restackElement")]
[JsonDerivedType(typeof(SetCover), "setCover")]
[JsonDerivedType(typeof(SetHole), "setHole")]
[JsonDerivedType(typeof(SetHooping), "setHooping")]
[JsonDerivedType(typeof(SetMat), "setMat")]
[JsonDerivedType(typeof(SetMethod), "setMethod")]
[JsonDerivedType(typeof(SetPieceCloth), "setPieceCloth")]
[JsonDerivedType(typeof(SetRun), "setRun")]
[JsonDerivedType(typeof(SetUnit), "setUnit")]
public abstract record Edit
{
    /// <summary>What a person would call it: "Move beet leaf".</summary>
    public abstract string Label(Project before);

    /// <summary>The document after the change, or why it can't be made. Pure.</summary>
    public abstract Result<Project> Apply(Project project, EditContext context);

    private protected static string NameOf(Project project, IReadOnlyList<string> elementIds) =>
        elementIds.Count == 1 ? project.Find(elementIds[0])?.Name ?? "element" : $"{elementIds.Count} elements";
}

/// <summary>An edit of one piece.</summary>
public abstract record PieceEdit : Edit
{
    public required string ElementId { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context) =>
        project.Find(ElementId) is Piece piece ? Change(piece, project) : EditRefusals.NoElement(ElementId);

    /// <summary>The document with the piece changed, or why not.</summary>
    private protected abstract Result<Project> Change(Piece piece, Project project);

    private protected string PieceName(Project project) => project.Find(ElementId)?.Name ?? "piece";
}

/// <summary>The refusals that several edits share.</summary>
internal static class EditRefusals
{
    internal static Refusal NoElement(string id) =>
        new("element-unknown", "elementId", $"There is no element \"{id}\" in this project; it may have been deleted.");

    internal static Refusal NoCloth(string id) =>
        new("cloth-unknown", "clothId", $"There is no cloth \"{id}\" in this project.");

    internal static Refusal NoThread(string id) =>
        new("thread-unknown", "threadId", $"There is no thread \"{id}\" in this project.");
}
