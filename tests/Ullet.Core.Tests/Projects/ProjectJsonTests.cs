using System.Text;
using System.Text.Json.Nodes;
using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Projects;

public sealed class ProjectJsonTests
{
    [Fact]
    public void Read_OfWhatWasWritten_GivesTheSameDocument()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new StarShape(6, 0.4)),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new HeartShape(), 1, 2, 8, 9) },
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 4, ThreadId = "line" },
            },
            new NoteStep { StepKey = "e1.lay.0", Note = "dots up" },
            new MirrorCloth { ClothId = "beet", Lies = Lying.FaceDown }
        );
        var written = ProjectJson.Write(project);
        var read = ProjectJson.Read(written).Value;
        Assert.Equal(Encoding.UTF8.GetString(written), Encoding.UTF8.GetString(ProjectJson.Write(read)));
        Assert.Equal(4, read.Elements[0].Cloth().Stages.Cover.Width);
        Assert.Equal("dots up", read.RunSheet.Of(new StepKey("e1", "lay", 0))?.Note);
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema1_StillWorks()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-1.json"));
        var project = ProjectJson.Read(golden).Value;
        Assert.Equal("Bean row marker", project.Title);
        var piece = Assert.Single(project.Elements).Cloth();
        Assert.Equal(new RectangleShape(3), piece.Element.Form.ShapeOf());
        Assert.Equal(Method.CutBeforehand, piece.Method);
        Assert.Equal(2.5, piece.Stages.Cover.Width);
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema2_StillWorks()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-2.json"));
        var project = ProjectJson.Read(golden).Value;
        var words = project.Elements[0].Words();
        Assert.Equal(
            ("Bed\n4", "block", WordsUse.OnePiece),
            (words.Text, words.FontId, WordsUses.Of(project.Elements[0]))
        );
        Assert.Equal(new LetterTouch(2) { Y = 0.1, Scale = 1.2 }, Assert.Single(words.Touches));
        Assert.Equal(12, project.Elements[0].Box.Skew);
        var line = project.Elements[1].Line();
        Assert.Equal(
            (LineKind.Bean, "g4", true),
            (line.Stitching.Kind, project.Elements[1].GroupId, project.Elements[1].IsLocked)
        );
        Assert.Equal(new ClothSwatch("aa11", 80), project.Cloths[2].Swatch);
        Assert.Equal(
            60,
            Assert.Single(Assert.Single(project.Elements[1].FormedAs<DrawingForm>()!.Drawing.Lines).Curves).X
        );
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema3_StillWorks()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-3.json"));
        var project = ProjectJson.Read(golden).Value;
        Assert.Equal(
            [
                "Carve",
                "Join",
                "RoundCorners",
                "MoveEdge",
                "RepeatInLine",
                "RepeatRound",
                "Mirror",
                "Split",
                "ClearCrumbs",
            ],
            project.Elements[0].Operations.Select(operation => operation.GetType().Name)
        );
        Assert.Equal(3.5, ((Carve)project.Elements[0].Operations[0]).Reveal);
        Assert.True(project.Elements[0].Operations[2].IsMuted);
        Assert.True(project.Elements[2].IsConstruction);
        Assert.Equal(NodeKind.Symmetric, ((DrawnShape)project.Elements[3].Form.ShapeOf()!).Lines[0].Curves[0].Node);
        Assert.Equal(new EdgeTouch(new Spot(0.5, 0), true), Assert.Single(project.Elements[3].Cloth().EdgeTouches));
        Assert.Equal(
            (StitchOrder.OneByOne, Holding.Taped),
            (project.RunSheet.Order, project.Elements[3].Cloth().Holding)
        );
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema4_StillWorks()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-4.json"));
        var project = ProjectJson.Read(golden).Value;
        Assert.Equal(StitchOrder.Together, project.RunSheet.Order);
        Assert.Equal((Method.RawEdge, CoverKind.Motif), (project.Habits.Method, project.Habits.CoverKind));
        var piece = project.Elements[0].Cloth();
        Assert.Equal((Method.MarkedOnCloth, Holding.Fused, 0.4), (piece.Method, piece.Holding, piece.CutAllowance));
        Assert.Equal(TackKind.Zigzag, piece.Stages.TackDown.Kind);
        var cover = piece.Stages.Cover;
        Assert.Equal((CoverKind.Motif, "fern", true, 5), (cover.Kind, cover.MotifId, cover.IsMirrored, cover.Passes));
        Assert.Equal(new UnderlaySettings(true, false, true), cover.Underlay);
        Assert.Equal(
            new CoverStretch(new Spot(0.5, 0)) { Width = 2.4, ThreadId = "t2" },
            Assert.Single(cover.Stretches)
        );
        Assert.True(project.Cloths[2].IsDeepPile);
        Assert.Equal(ClothKind.Jersey, project.Cloths[2].Kind);
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema5_StillWorks()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-5.json"));
        var project = ProjectJson.Read(golden).Value;
        Assert.Equal(
            ("zip-pouch", 200, "Rowan"),
            (project.Pattern!.PatternId, project.Pattern.NumberOf("width"), project.Pattern.TextOf("name"))
        );
        var zone = project.Elements[1].Zone();
        Assert.Equal((ZoneRole.KeepClear, "p.open-zip.0"), (zone.Role, zone.Until.ToString()));
        Assert.Equal(
            ("tack-down", 2),
            (project.Elements[0].Line().Purpose, project.Elements[0].Line().Stitching.Passes)
        );
        Assert.True(project.RunSheet.Of(new StepKey("p-zip-tack", "line", 0))!.IsHeld);
        Assert.Equal(HandKind.LayBehind, Assert.Single(project.RunSheet.Hands).Kind);
        // The list of mirrored cloths became the way in which each lies; nothing else of the file is lost.
        Assert.Empty(project.Cut.Cloths);
        Assert.Equal(7, (int)JsonNode.Parse(ProjectJson.Write(project))!["schemaVersion"]!);
    }

    [Fact]
    public void Read_OfMirroredClothsOfSchema5_LaysThemFaceDown()
    {
        var json = JsonNode.Parse(
            File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-5.json"))
        )!;
        var cloth = (string)json["cloths"]![0]!["id"]!;
        json["cut"]!["mirroredClothIds"] = new JsonArray(cloth);
        var project = ProjectJson.Read(Encoding.UTF8.GetBytes(json.ToJsonString())).Value;
        Assert.Equal((cloth, Lying.FaceDown), (project.Cut.Cloths.Single().ClothId, project.Cut.Cloths.Single().Lies));
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema6_StillWorks()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-6.json"));
        var project = ProjectJson.Read(golden).Value;
        var cut = Assert.Single(project.Cut.Cloths);
        Assert.Equal((Lying.FilmDown, Grain.OneWay, SheetLayout.Packed), (cut.Lies, cut.Grain, cut.Layout));
        Assert.Equal(new MatSize(152, 305, 5), cut.Mat);
        Assert.Equal(new HandPlace("e1.0", 0, 2, 14.5, 20), Assert.Single(cut.Places));
        Assert.Equal(CutRole.Score, cut.RoleOf("e2.0"));
        Assert.Equal((BladeKind.Rotary, 2.1), (cut.Profile!.Blade, cut.Profile.Depth));
        Assert.Equal((0.15, null, 1.2), (cut.Tolerances.Cutting, cut.Tolerances.Laying, cut.Tolerances.TrimMost));
        Assert.Equal("print-allotment", cut.Photo!.Picture);
    }

    [Fact]
    public void Read_OfTheGoldenFileOfSchema7_LosesNothing()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-7.json"));
        var project = ProjectJson.Read(golden).Value;
        Assert.Equal(
            [
                typeof(ClothMaking),
                typeof(LineMaking),
                typeof(ZoneMaking),
                typeof(ConstructionMaking),
                typeof(LineMaking),
            ],
            project.Elements.Select(element => element.Making.GetType())
        );
        Assert.Equal(3, project.Elements[0].SettingsOf<LineMaking>()!.Stitching.Passes);
        Assert.Equal("stab", Assert.Single(project.Hoopings).TopClothId);
        Assert.Equal(200, Assert.Single(project.HoopingChoices).Hoop!.FieldWidth);
        Assert.Equal(
            JsonNode.Parse(golden)!.ToJsonString(),
            JsonNode.Parse(ProjectJson.Write(project))!.ToJsonString()
        );
    }

    [Fact]
    public void Read_OfSchema6_KeepsWhatWordsAndConstructionShapesWere()
    {
        var golden = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-3.json"));
        var shape = ProjectJson.Read(golden).Value.Elements[2];
        Assert.IsType<ConstructionMaking>(shape.Making);
        Assert.NotNull(shape.SettingsOf<ClothMaking>());
        Assert.Equal("e3", shape.Id);
    }

    [Theory]
    [InlineData("matWidth", "3")]
    [InlineData("matMargin", "200")]
    public void Read_OfCutNumbersOutOfRange_RefusesWithASentence(string name, string value)
    {
        var json = JsonNode.Parse(
            File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Projects", "schema-6.json"))
        )!;
        json["cut"]![name] = JsonNode.Parse(value);
        var read = DocumentReader.Brought(Encoding.UTF8.GetBytes(json.ToJsonString()));
        Assert.Equal("project-broken", read.Refusal?.Code);
        Assert.Contains("mat", read.Refusal!.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Read_OfCoverNumbersOutOfRange_RefusesWithASentence()
    {
        var refusal = DocumentReader
            .Brought(Changed(json => json["elements"]![0]!["making"]!["stages"]!["cover"]!["spacing"] = 0.0001))
            .Refusal;
        Assert.Equal("project-broken", refusal?.Code);
        Assert.Contains("spacing", refusal!.Words, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public void Read_OfANewerSchema_RefusesWithASentence()
    {
        var refusal = ProjectJson.Read(Changed(json => json["schemaVersion"] = 99)).Refusal;
        Assert.Equal("project-newer", refusal?.Code);
    }

    [Fact]
    public void Read_OfAnOlderSchema_GoesThroughEveryUpgrade()
    {
        var upgrades = new SchemaUpgrades(
            3,
            [
                new SchemaUpgrade(2, json => With(json, "title", (string)json["title"]! + " third")),
                new SchemaUpgrade(1, json => With(json, "title", "second,")),
            ]
        );
        var first = JsonNode.Parse(ProjectJson.Write(SampleProject.Empty()))!;
        first["schemaVersion"] = 1;
        var read = ProjectJson.Read(Encoding.UTF8.GetBytes(first.ToJsonString()), upgrades);
        Assert.Equal("second, third", read.Value.Title);
        Assert.Equal(3, read.Value.SchemaVersion);
    }

    public static TheoryData<string, string> Broken =>
        new()
        {
            { "not json", "{" },
            { "a list", "[]" },
            { "no version", "{\"title\":\"x\"}" },
            { "a missing part", "{\"schemaVersion\":1,\"title\":\"x\"}" },
            { "a null title", Text(json => json["title"] = null) },
            { "an unknown cloth", Text(json => json["elements"]![0]!["making"]!["clothId"] = "silk") },
            { "an unknown ground", Text(json => json["hoopings"]![0]!["groundClothId"] = "silk") },
            { "an unknown thread", Text(json => json["hoopings"]![0]!["coverThreadId"] = "gold") },
            { "an absurd size", Text(json => json["elements"]![0]!["box"]!["width"] = 1e9) },
            { "an unknown kind", Text(json => json["elements"]![0]!["making"]!["kind"] = "balloon") },
            { "a number as text", Text(json => json["elements"]![0]!["box"]!["width"] = "60") },
        };

    [Theory]
    [MemberData(nameof(Broken))]
    public void Read_OfABrokenDocument_RefusesWithASentence(string what, string json)
    {
        var refusal = DocumentReader.Brought(Encoding.UTF8.GetBytes(json)).Refusal;
        Assert.True(refusal?.Code == "project-broken", what);
        Assert.StartsWith("This project can't be read", refusal!.Words, StringComparison.Ordinal);
    }

    private static JsonObject With(JsonObject json, string name, string value)
    {
        json[name] = value;
        return json;
    }

    private static string Text(Action<JsonObject> change) => Encoding.UTF8.GetString(Changed(change));

    private static byte[] Changed(Action<JsonObject> change)
    {
        var json = (JsonObject)JsonNode.Parse(ProjectJson.Write(SampleProject.With(new HeartShape())))!;
        change(json);
        return Encoding.UTF8.GetBytes(json.ToJsonString());
    }

    [Theory]
    [InlineData("e1", "can't be changed with itself")]
    [InlineData("e9", "no element")]
    [InlineData("e2", "is itself made with")]
    public void Read_OfOperationsThatNobodyCouldHaveMade_Refuses(string source, string words)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape()),
            SampleProject.Add(new RectangleShape())
        );
        Element Carved(Element element, string by) =>
            element with
            {
                Operations = [new Carve { Id = "o1", SourceIds = [by] }],
            };
        var broken = project.With(Carved(project.Elements[0], source));
        broken = source == "e2" ? broken.With(Carved(broken.Elements[1], "e1")) : broken;
        Assert.Contains(
            words,
            DocumentReader.Brought(ProjectJson.Write(broken)).Refusal?.Words,
            StringComparison.Ordinal
        );
    }
}
