using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>Operations with how they went, and what they leave.</summary>
internal sealed class OperationDtos(Evaluator evaluator)
{
    internal ImmutableArray<OperationDto> Of(Element element, Evaluated evaluated) =>
        [
            .. element.Operations.Select(operation =>
            {
                var made = evaluated
                    .Shapes[element.Id]
                    .Operations.FirstOrDefault(result => ReferenceEquals(result.Operation, operation));
                var left = made is null
                    ? []
                    : evaluator.LeftoversOf(element, evaluated.Project, made.Outline, made.Key).All;
                return new OperationDto(
                    operation,
                    OperationTable.Of(operation).Name(operation),
                    made is null ? OperationStanding.Muted : Standing(made.State),
                    left.Count(each => each.Kind == LeftoverKind.Crumb),
                    left.Count(each => each.Kind is LeftoverKind.Neck or LeftoverKind.Tail),
                    Note(element, operation, made?.State, evaluated.Project)
                );
            }),
        ];

    internal ImmutableArray<LeftoverDto> LeftoversOf(Element element, Evaluated evaluated)
    {
        var shaped = evaluated.Shapes[element.Id];
        return shaped.Operations.IsEmpty
            ? []
            :
            [
                .. evaluator
                    .LeftoversOf(element, evaluated.Project, shaped.Outline, shaped.Key)
                    .All.Select(left => new LeftoverDto(
                        left.Kind,
                        left.At.X,
                        left.At.Y,
                        left.Width,
                        left.Place.Area,
                        PathText.Of([left.Place]),
                        LeftoverMends.Removal(left, element),
                        LeftoverMends.Widening(left, element, evaluated.Project)
                    )),
            ];
    }

    private static OperationStanding Standing(OperationState state) =>
        state switch
        {
            OperationState.Done => OperationStanding.Done,
            OperationState.Idle => OperationStanding.Idle,
            OperationState.Empty => OperationStanding.Empty,
            _ => OperationStanding.TooMany,
        };

    private static string? Note(Element element, Operation operation, OperationState? state, Project project) =>
        state switch
        {
            OperationState.Idle => "Changes nothing as things stand.",
            OperationState.Empty => "Leaves nothing.",
            OperationState.TooMany => "Passed over: far too many parts.",
            _ => operation is Carve carve ? Between(element, carve, project) : null,
        };

    /// <summary>What the reveal is measured between.</summary>
    private static string Between(Element element, Carve carve, Project project)
    {
        var own = MakingModules.Of(element).Beyond(element, project);
        var theirs = carve
            .SourceIds.Select(project.Find)
            .OfType<Element>()
            .Max(source => MakingModules.Of(source).Beyond(source, project));
        return own + theirs < 0.001
            ? "Measured between bare outlines: nothing is stitched over these edges."
            : $"Measured between finished edges: {own:0.0#} mm of this cover and {theirs:0.0#} mm of theirs are counted in.";
    }
}
