using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Anything that stands on the wall: a form, and what is made of it.</summary>
public sealed record Element
{
    /// <summary>Names the element for ever.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required ElementBox Box { get; init; }

    /// <summary>Where its outline comes from.</summary>
    public required Form Form { get; init; }

    /// <summary>What is made of it.</summary>
    public required Making Making { get; init; }

    /// <summary>The settings of makings that it had and has no more, the last one last; at most one of each kind, and none of a
    /// construction shape: a person sets nothing of it.</summary>
    public ImmutableArray<Making> Kept { get; init; } = [];

    /// <summary>Elements with the same group are taken together by hands; null stands alone.</summary>
    public string? GroupId { get; init; }

    /// <summary>The names of the groups that it stands in, as a person sorts elements: "date", "weight". Nothing is moved by them.</summary>
    [JsonIgnore]
    public ImmutableArray<string> GroupNames { get; init; } = [];

    /// <summary>The same as it is stored: null, and not written, where it stands in none.</summary>
    [JsonPropertyName("groupNames")]
    public ImmutableArray<string>? StoredGroupNames
    {
        get => GroupNames.IsEmpty ? null : GroupNames;
        init => GroupNames = value is { IsDefault: false } names ? names : [];
    }

    /// <summary>A locked element is not moved, changed in size or deleted until it is unlocked.</summary>
    public bool IsLocked { get; init; }

    /// <summary>A hidden element is not drawn on the wall; it is sewn and cut all the same.</summary>
    public bool IsHidden { get; init; }

    /// <summary>True while the middle of its outline is kept in the field's centre whatever its size becomes.</summary>
    public bool StaysCentred { get; init; }

    /// <summary>Live changes of its outline, in their order.</summary>
    public ImmutableArray<Operation> Operations { get; init; } = [];

    /// <summary>Which part of the project's pattern it is; null for one made by hand. Parts keep their names at every size.</summary>
    public string? PatternPart { get; init; }

    /// <summary>Which part of a small drawing of our own it is; null for anything else.</summary>
    public SketchUse? Sketch { get; init; }

    /// <summary>True when its form is taken as lines, as they were drawn; false when it is taken as the area that it encloses.</summary>
    /// <remarks>A closed drawing with operations that only areas can have is taken as an area whatever is made of it.</remarks>
    [JsonIgnore]
    public bool IsLinework =>
        Form is OpenedForm
        || (
            Making.FollowsLines
            && Form is DrawingForm drawn
            && (
                drawn.IsOpen
                || Operations.All(operation => operation.IsMuted || OperationLimits.WorksOnLines(operation))
            )
        );

    /// <summary>A construction shape is neither sewn nor cut; it only serves other elements' operations.</summary>
    [JsonIgnore]
    public bool IsConstruction => Making is ConstructionMaking;

    /// <summary>Its making; of a construction shape what it was made as last, or itself where it never was anything else.</summary>
    [JsonIgnore]
    public Making LastMaking => IsConstruction ? Kept.LastOrDefault() ?? Making : Making;

    /// <summary>Its making where it is of a kind; null for another kind.</summary>
    public TMaking? MadeAs<TMaking>()
        where TMaking : Making => Making as TMaking;

    /// <summary>Its form where it is of a kind; null for another kind.</summary>
    public TForm? FormedAs<TForm>()
        where TForm : Form => Form as TForm;

    /// <summary>The settings of a kind of making: in use, or kept; null where it never was made so.</summary>
    public TMaking? SettingsOf<TMaking>()
        where TMaking : Making => MadeAs<TMaking>() ?? Kept.OfType<TMaking>().FirstOrDefault();

    /// <summary>The element with settings of a kind changed, where they are: in use, or kept.</summary>
    public Element WithSettings(Making settings) =>
        settings.GetType() == Making.GetType()
            ? this with
            {
                Making = settings,
            }
            : this with
            {
                Kept = [.. Kept.Where(kept => kept.GetType() != settings.GetType()), settings],
            };

    /// <summary>The settings of all makings that it has or had: those kept first, the one in use last.</summary>
    public IEnumerable<Making> Makings() => Kept.Append(Making);

    /// <summary>The element with all its makings' settings changed by one rule.</summary>
    public Element Remade(Func<Making, Making> change) =>
        this with
        {
            Making = change(Making),
            Kept = [.. Kept.Select(change)],
        };

    /// <summary>The element made as something: settings of the same kind take the old ones' place, those of another kind are kept.</summary>
    public Element Made(Making making) =>
        this with
        {
            Making = making,
            Kept =
                making.GetType() == Making.GetType()
                    ? Kept
                    :
                    [
                        .. Kept.Where(kept => kept.GetType() != making.GetType() && kept.GetType() != Making.GetType()),
                        .. Making.IsSet ? [Making] : Array.Empty<Making>(),
                    ],
        };

    /// <summary>The elements that its operations use, muted ones counted.</summary>
    public IEnumerable<string> SourceIds() => Operations.SelectMany(operation => operation.Sources);
}

/// <summary>Where an element stands: its middle, its size before turning, and its turn.</summary>
/// <param name="X">Middle, mm right of the field's centre.</param>
/// <param name="Y">Middle, mm below the field's centre.</param>
/// <param name="Width">Width before turning, mm; slant counted in.</param>
/// <param name="Height">Height before turning, mm.</param>
/// <param name="Rotation">Turn, degrees clockwise on screen.</param>
public sealed record ElementBox(double X, double Y, double Width, double Height, double Rotation)
{
    /// <summary>True when the form is mirrored left to right before it is turned.</summary>
    public bool IsFlipped { get; init; }

    /// <summary>The box larger by a factor about the field's centre: place and size, not turn and lean.</summary>
    public ElementBox Scaled(double factor) =>
        this with
        {
            X = X * factor,
            Y = Y * factor,
            Width = Width * factor,
            Height = Height * factor,
        };

    /// <summary>The box moved, mm.</summary>
    public ElementBox Moved(double x, double y) => this with { X = X + x, Y = Y + y };

    /// <summary>How far the form leans to the right before it is flipped and turned, degrees; -60 to 60.</summary>
    public double Skew { get; init; }

    /// <summary>True where its sides are neither level nor upright on the wall: such a form can't be stretched along one of the wall's
    /// axes.</summary>
    [JsonIgnore]
    public bool IsAskew => Math.Abs(Math.IEEERemainder(Rotation, 90)) > 0.01 || Skew != 0;
}
