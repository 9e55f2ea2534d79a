using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Where an element's outline comes from.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ShapeForm), "shape")]
[JsonDerivedType(typeof(DrawingForm), "drawing")]
[JsonDerivedType(typeof(TextForm), "words")]
[JsonDerivedType(typeof(OpenedForm), "opened")]
public abstract record Form;
