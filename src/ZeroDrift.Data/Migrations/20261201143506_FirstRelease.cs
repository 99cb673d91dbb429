using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace ZeroDrift.Data.Migrations
{
    /// <inheritdoc />
    public partial class FirstRelease : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "Blobs",
                columns: table => new
                {
                    Hash = table.Column<string>(type: "TEXT", nullable: false),
                    Content = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ContentType = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Blobs", x => x.Hash);
                });

            migrationBuilder.CreateTable(
                name: "Changes",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Subject = table.Column<string>(type: "TEXT", nullable: false),
                    SubjectId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    What = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Changes", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "EngineTypes",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Cycle = table.Column<string>(type: "TEXT", nullable: false),
                    FiringOrder = table.Column<string>(type: "TEXT", nullable: false),
                    FiringAnglesDeg = table.Column<string>(type: "TEXT", nullable: true),
                    Timing_IvoBtdc = table.Column<double>(type: "REAL", nullable: true),
                    Timing_IvcAbdc = table.Column<double>(type: "REAL", nullable: true),
                    Timing_EvoBbdc = table.Column<double>(type: "REAL", nullable: true),
                    Timing_EvcAtdc = table.Column<double>(type: "REAL", nullable: true),
                    RampGuardDeg = table.Column<double>(type: "REAL", nullable: false),
                    Banks = table.Column<string>(type: "TEXT", nullable: false),
                    Layout = table.Column<string>(type: "TEXT", nullable: false),
                    Adjuster = table.Column<string>(type: "TEXT", nullable: false),
                    PitchMm = table.Column<double>(type: "REAL", nullable: true),
                    ClearancePerTravel = table.Column<double>(type: "REAL", nullable: false),
                    ClockwiseCloses = table.Column<bool>(type: "INTEGER", nullable: false),
                    ShimSizesMm = table.Column<string>(type: "TEXT", nullable: true),
                    ShimPerClearance = table.Column<double>(type: "REAL", nullable: false),
                    ShimMarks = table.Column<string>(type: "TEXT", nullable: true),
                    ScrewFreeMm = table.Column<double>(type: "REAL", nullable: true),
                    ShimDiameterMm = table.Column<double>(type: "REAL", nullable: true),
                    TravelTurns = table.Column<double>(type: "REAL", nullable: true),
                    SelfLocking = table.Column<bool>(type: "INTEGER", nullable: false),
                    ColdMaxC = table.Column<double>(type: "REAL", nullable: false),
                    DialConversion = table.Column<double>(type: "REAL", nullable: true),
                    DialContact = table.Column<string>(type: "TEXT", nullable: true),
                    Method = table.Column<string>(type: "TEXT", nullable: false),
                    Order = table.Column<string>(type: "TEXT", nullable: false, defaultValue: "ByCylinder"),
                    Setting = table.Column<string>(type: "TEXT", nullable: true),
                    Judging = table.Column<string>(type: "TEXT", nullable: false, defaultValue: "Window"),
                    Manner = table.Column<string>(type: "TEXT", nullable: false, defaultValue: "BladeOut"),
                    Measuring = table.Column<string>(type: "TEXT", nullable: false, defaultValue: "Blades"),
                    Spark = table.Column<bool>(type: "INTEGER", nullable: false),
                    Interference = table.Column<bool>(type: "INTEGER", nullable: false),
                    Pins = table.Column<string>(type: "TEXT", nullable: true),
                    CamMark = table.Column<string>(type: "TEXT", nullable: true),
                    Rotor = table.Column<bool>(type: "INTEGER", nullable: false),
                    PulleyMm = table.Column<double>(type: "REAL", nullable: true),
                    SpeaksCamTurns = table.Column<bool>(type: "INTEGER", nullable: false),
                    Letters = table.Column<string>(type: "TEXT", nullable: false, defaultValue: "IntakeExhaust"),
                    Uniflow_EvoAtdc = table.Column<double>(type: "REAL", nullable: true),
                    Uniflow_EvcAtdc = table.Column<double>(type: "REAL", nullable: true),
                    Uniflow_InjectorFrom = table.Column<double>(type: "REAL", nullable: true),
                    Uniflow_InjectorTo = table.Column<double>(type: "REAL", nullable: true),
                    OwnSteps = table.Column<bool>(type: "INTEGER", nullable: false),
                    ScarceTools = table.Column<string>(type: "TEXT", nullable: false),
                    Assumed = table.Column<string>(type: "TEXT", nullable: false),
                    GasketHours = table.Column<double>(type: "REAL", nullable: true),
                    NarrowBlade = table.Column<bool>(type: "INTEGER", nullable: false),
                    HotMinutes = table.Column<double>(type: "REAL", nullable: true),
                    ResetHotHours = table.Column<double>(type: "REAL", nullable: true),
                    SecondPassMinutes = table.Column<double>(type: "REAL", nullable: true),
                    RunningMethod = table.Column<bool>(type: "INTEGER", nullable: false),
                    SameWithinMm = table.Column<double>(type: "REAL", nullable: true),
                    PastTdcMm = table.Column<double>(type: "REAL", nullable: true),
                    StrokeMm = table.Column<double>(type: "REAL", nullable: true),
                    RodMm = table.Column<double>(type: "REAL", nullable: true),
                    Rotation = table.Column<string>(type: "TEXT", nullable: false),
                    BarringTool = table.Column<string>(type: "TEXT", nullable: false),
                    ToolTurnsPerCrankTurn = table.Column<double>(type: "REAL", nullable: false),
                    BookHours = table.Column<double>(type: "REAL", nullable: true),
                    BookMonths = table.Column<int>(type: "INTEGER", nullable: true),
                    FirstCheckHours = table.Column<double>(type: "REAL", nullable: true),
                    BreakInHours = table.Column<double>(type: "REAL", nullable: false),
                    JobHours = table.Column<double>(type: "REAL", nullable: false),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    BookStops = table.Column<string>(type: "TEXT", nullable: true),
                    ByKind = table.Column<string>(type: "TEXT", nullable: true),
                    Fasteners = table.Column<string>(type: "TEXT", nullable: true),
                    Gaskets = table.Column<string>(type: "TEXT", nullable: true),
                    Steps = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_EngineTypes", x => x.Id);
                    table.CheckConstraint("CK_EngineTypes_Pitch", "PitchMm IS NULL OR (PitchMm > 0 AND PitchMm <= 10)");
                });

            migrationBuilder.CreateTable(
                name: "Fleet",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    Risk = table.Column<double>(type: "REAL", nullable: false),
                    ToleranceTightMm = table.Column<double>(type: "REAL", nullable: true),
                    ToleranceLooseMm = table.Column<double>(type: "REAL", nullable: true),
                    FeelSdMm = table.Column<double>(type: "REAL", nullable: false),
                    BreachCost = table.Column<double>(type: "REAL", nullable: false),
                    PlainRisk = table.Column<bool>(type: "INTEGER", nullable: false),
                    TimeZone = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Fleet", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "HoursFeeds",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false),
                    Address = table.Column<string>(type: "TEXT", nullable: true),
                    EveryMinutes = table.Column<int>(type: "INTEGER", nullable: false),
                    AskedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    AnsweredAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Said = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_HoursFeeds", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Instruments",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Unit = table.Column<string>(type: "TEXT", nullable: true),
                    Blades = table.Column<string>(type: "TEXT", nullable: false),
                    LastCheck = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    CheckEveryMonths = table.Column<int>(type: "INTEGER", nullable: false),
                    Withdrawn = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    SuspectFrom = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Instruments", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "People",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Initials = table.Column<string>(type: "TEXT", nullable: false),
                    Skills = table.Column<string>(type: "TEXT", nullable: false),
                    WeekHours = table.Column<string>(type: "TEXT", nullable: false),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_People", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "PlanVersions",
                columns: table => new
                {
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    PublishedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Content = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_PlanVersions", x => x.Number);
                });

            migrationBuilder.CreateTable(
                name: "RefusedEntries",
                columns: table => new
                {
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Code = table.Column<string>(type: "TEXT", nullable: false),
                    Sentence = table.Column<string>(type: "TEXT", nullable: false),
                    Content = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_RefusedEntries", x => new { x.VisitId, x.Id });
                });

            migrationBuilder.CreateTable(
                name: "Sites",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    TimeZone = table.Column<string>(type: "TEXT", nullable: true),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Sites", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "StandbyGroups",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    MostOut = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_StandbyGroups", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "Tools",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Count = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Tools", x => x.Id);
                });

            migrationBuilder.CreateTable(
                name: "LashPoints",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Label = table.Column<string>(type: "TEXT", nullable: false),
                    Cylinder = table.Column<int>(type: "INTEGER", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Place = table.Column<string>(type: "TEXT", nullable: true),
                    Adjuster = table.Column<string>(type: "TEXT", nullable: false),
                    Bank = table.Column<int>(type: "INTEGER", nullable: false),
                    Along = table.Column<int>(type: "INTEGER", nullable: false),
                    BookName = table.Column<string>(type: "TEXT", nullable: true),
                    BridgeScrew = table.Column<bool>(type: "INTEGER", nullable: false),
                    Order = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_LashPoints", x => x.Id);
                    table.ForeignKey(
                        name: "FK_LashPoints_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "SpecRevisions",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Revision = table.Column<string>(type: "TEXT", nullable: false),
                    RevisionKey = table.Column<string>(type: "TEXT", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Photo = table.Column<string>(type: "TEXT", nullable: true),
                    Lines = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SpecRevisions", x => x.Id);
                    table.ForeignKey(
                        name: "FK_SpecRevisions_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "TypeFits",
                columns: table => new
                {
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Learned = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_TypeFits", x => x.EngineTypeId);
                    table.ForeignKey(
                        name: "FK_TypeFits_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "FeelChecks",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    KnownMm = table.Column<double>(type: "REAL", nullable: false),
                    FeltMm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_FeelChecks", x => x.Id);
                    table.ForeignKey(
                        name: "FK_FeelChecks_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Machines",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    SiteId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Properties = table.Column<string>(type: "TEXT", nullable: true),
                    Registration = table.Column<string>(type: "TEXT", nullable: true),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Machines", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Machines_Sites_SiteId",
                        column: x => x.SiteId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Roads",
                columns: table => new
                {
                    FromId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ToId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Hours = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Roads", x => new { x.FromId, x.ToId });
                    table.ForeignKey(
                        name: "FK_Roads_Sites_FromId",
                        column: x => x.FromId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Roads_Sites_ToId",
                        column: x => x.ToId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimDrawers",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    SiteId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ClosedAt = table.Column<DateTime>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimDrawers", x => x.Id);
                    table.ForeignKey(
                        name: "FK_ShimDrawers_Sites_SiteId",
                        column: x => x.SiteId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Away",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    MachineId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    From = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    To = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    LaidUp = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Away", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Away_Machines_MachineId",
                        column: x => x.MachineId,
                        principalTable: "Machines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Away_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Engines",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    MachineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    SerialNumber = table.Column<string>(type: "TEXT", nullable: true),
                    Rating = table.Column<string>(type: "TEXT", nullable: true),
                    DutyHoursPerDay = table.Column<double>(type: "REAL", nullable: false),
                    MonthlyWeights = table.Column<string>(type: "TEXT", nullable: true),
                    StandbyGroupId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    ArchivedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Engines", x => x.Id);
                    table.CheckConstraint("CK_Engines_Duty", "DutyHoursPerDay >= 0 AND DutyHoursPerDay <= 24");
                    table.ForeignKey(
                        name: "FK_Engines_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Engines_Machines_MachineId",
                        column: x => x.MachineId,
                        principalTable: "Machines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimJobs",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    SiteId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    DrawerId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Policy = table.Column<string>(type: "TEXT", nullable: false),
                    ExpectedOn = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    MadeAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimJobs", x => x.Id);
                    table.ForeignKey(
                        name: "FK_ShimJobs_ShimDrawers_DrawerId",
                        column: x => x.DrawerId,
                        principalTable: "ShimDrawers",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_ShimJobs_Sites_SiteId",
                        column: x => x.SiteId,
                        principalTable: "Sites",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimMovements",
                columns: table => new
                {
                    Key = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    ActId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    DrawerId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    Access = table.Column<string>(type: "TEXT", nullable: false),
                    DiameterMm = table.Column<double>(type: "REAL", nullable: true),
                    SizeMm = table.Column<double>(type: "REAL", nullable: false),
                    Change = table.Column<int>(type: "INTEGER", nullable: false),
                    Counted = table.Column<int>(type: "INTEGER", nullable: true),
                    KnownBy = table.Column<string>(type: "TEXT", nullable: false),
                    Written = table.Column<string>(type: "TEXT", nullable: false),
                    Unit = table.Column<string>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimMovements", x => x.Key);
                    table.CheckConstraint("CK_ShimMovements_Size", "SizeMm > 0");
                    table.ForeignKey(
                        name: "FK_ShimMovements_ShimDrawers_DrawerId",
                        column: x => x.DrawerId,
                        principalTable: "ShimDrawers",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Contexts",
                columns: table => new
                {
                    Id = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Content = table.Column<byte[]>(type: "BLOB", nullable: false),
                    GivenAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Contexts", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Contexts_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "EngineFigures",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    WithdrawnAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Line = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_EngineFigures", x => x.Id);
                    table.ForeignKey(
                        name: "FK_EngineFigures_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "HoursReports",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Source = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Machine = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Hours = table.Column<double>(type: "REAL", nullable: true),
                    Written = table.Column<string>(type: "TEXT", nullable: false),
                    Doubt = table.Column<string>(type: "TEXT", nullable: false),
                    PerhapsHours = table.Column<double>(type: "REAL", nullable: true),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    DecidedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    DecidedBy = table.Column<string>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_HoursReports", x => x.Id);
                    table.ForeignKey(
                        name: "FK_HoursReports_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "MachineAliases",
                columns: table => new
                {
                    NameKey = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_MachineAliases", x => x.NameKey);
                    table.ForeignKey(
                        name: "FK_MachineAliases_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Outlooks",
                columns: table => new
                {
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineTypeId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Model = table.Column<string>(type: "TEXT", nullable: false),
                    Fingerprint = table.Column<string>(type: "TEXT", nullable: false),
                    AsOf = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Content = table.Column<string>(type: "TEXT", nullable: false),
                    Said = table.Column<string>(type: "TEXT", nullable: true),
                    Version = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Outlooks", x => x.EngineId);
                    table.ForeignKey(
                        name: "FK_Outlooks_EngineTypes_EngineTypeId",
                        column: x => x.EngineTypeId,
                        principalTable: "EngineTypes",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Outlooks_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Visits",
                columns: table => new
                {
                    Key = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ContextId = table.Column<string>(type: "TEXT", nullable: false),
                    ContextAsked = table.Column<string>(type: "TEXT", nullable: true),
                    ImportKey = table.Column<string>(type: "TEXT", nullable: true),
                    Head = table.Column<int>(type: "INTEGER", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    Job = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    ShownHours = table.Column<double>(type: "REAL", nullable: true),
                    TotalHours = table.Column<double>(type: "REAL", nullable: true),
                    Bench = table.Column<bool>(type: "INTEGER", nullable: false),
                    WorkedHours = table.Column<double>(type: "REAL", nullable: true),
                    OpenedBy = table.Column<byte[]>(type: "BLOB", nullable: true),
                    OpenedAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    SignedBy = table.Column<byte[]>(type: "BLOB", nullable: true),
                    SignedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    Condition = table.Column<string>(type: "TEXT", nullable: false),
                    Revision = table.Column<string>(type: "TEXT", nullable: true),
                    StartsClock = table.Column<bool>(type: "INTEGER", nullable: false),
                    OutOfTrend = table.Column<bool>(type: "INTEGER", nullable: false),
                    OutOfTrendBecause = table.Column<string>(type: "TEXT", nullable: true),
                    Measured = table.Column<int>(type: "INTEGER", nullable: false),
                    PointCount = table.Column<int>(type: "INTEGER", nullable: false),
                    OutAsFound = table.Column<int>(type: "INTEGER", nullable: false),
                    SetCount = table.Column<int>(type: "INTEGER", nullable: false),
                    Worst = table.Column<string>(type: "TEXT", nullable: true),
                    WorstMm = table.Column<double>(type: "REAL", nullable: true),
                    WorstState = table.Column<string>(type: "TEXT", nullable: true),
                    Corrections = table.Column<int>(type: "INTEGER", nullable: false),
                    Waiting = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Visits", x => x.Key);
                    table.UniqueConstraint("AK_Visits_Id", x => x.Id);
                    table.CheckConstraint("CK_Visits_Hours", "ShownHours IS NULL OR (ShownHours >= 0 AND ShownHours <= 1000000)");
                    table.ForeignKey(
                        name: "FK_Visits_Contexts_ContextId",
                        column: x => x.ContextId,
                        principalTable: "Contexts",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Visits_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Calls",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Rule = table.Column<string>(type: "TEXT", nullable: false),
                    Symptoms = table.Column<string>(type: "TEXT", nullable: false),
                    What = table.Column<string>(type: "TEXT", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    AtHours = table.Column<double>(type: "REAL", nullable: true),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    ClosedAt = table.Column<DateTime>(type: "TEXT", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Calls", x => x.Id);
                    table.ForeignKey(
                        name: "FK_Calls_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Calls_Visits_VisitId",
                        column: x => x.VisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Entries",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Sequence = table.Column<int>(type: "INTEGER", nullable: false),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Content = table.Column<string>(type: "TEXT", nullable: false),
                    ReceivedAt = table.Column<DateTime>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Entries", x => new { x.VisitKey, x.Sequence });
                    table.CheckConstraint("CK_Entries_Sequence", "Sequence >= 1");
                    table.ForeignKey(
                        name: "FK_Entries_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Jobs",
                columns: table => new
                {
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Title = table.Column<string>(type: "TEXT", nullable: false),
                    Rule = table.Column<string>(type: "TEXT", nullable: true),
                    DueDate = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    EarliestDate = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    Hours = table.Column<double>(type: "REAL", nullable: true),
                    Crew = table.Column<int>(type: "INTEGER", nullable: false),
                    Tools = table.Column<string>(type: "TEXT", nullable: false),
                    Opens = table.Column<bool>(type: "INTEGER", nullable: false),
                    AfterJobId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    AfterDays = table.Column<int>(type: "INTEGER", nullable: false),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    MadeAt = table.Column<DateTime>(type: "TEXT", nullable: false),
                    State = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Version = table.Column<int>(type: "INTEGER", nullable: false),
                    Parts = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Jobs", x => x.Id);
                    table.CheckConstraint("CK_Jobs_Work", "Crew >= 1 AND AfterDays >= 0 AND (Hours IS NULL OR Hours > 0)");
                    table.ForeignKey(
                        name: "FK_Jobs_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Jobs_Jobs_AfterJobId",
                        column: x => x.AfterJobId,
                        principalTable: "Jobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Jobs_Visits_VisitId",
                        column: x => x.VisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "LockPairs",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Lock = table.Column<int>(type: "INTEGER", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<byte[]>(type: "BLOB", nullable: false),
                    BeforeMm = table.Column<double>(type: "REAL", nullable: false),
                    AfterMm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_LockPairs", x => new { x.VisitKey, x.Point, x.Lock });
                    table.ForeignKey(
                        name: "FK_LockPairs_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Marks",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Name = table.Column<string>(type: "TEXT", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    CrankDeg = table.Column<double>(type: "REAL", nullable: false),
                    Trap = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Marks", x => new { x.VisitKey, x.Name });
                    table.CheckConstraint("CK_Marks_Crank", "CrankDeg >= -7200 AND CrankDeg <= 7200");
                    table.ForeignKey(
                        name: "FK_Marks_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Marks_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "MeterReadings",
                columns: table => new
                {
                    Sequence = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    Id = table.Column<byte[]>(type: "BLOB", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    ShownHours = table.Column<double>(type: "REAL", nullable: false),
                    NewMeterShows = table.Column<double>(type: "REAL", nullable: true),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Who = table.Column<string>(type: "TEXT", nullable: true),
                    Remark = table.Column<string>(type: "TEXT", nullable: true),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    ReplacesId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Why = table.Column<string>(type: "TEXT", nullable: true),
                    Withdrawn = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_MeterReadings", x => x.Sequence);
                    table.UniqueConstraint("AK_MeterReadings_Id", x => x.Id);
                    table.CheckConstraint("CK_MeterReadings_Hours", "ShownHours >= 0 AND ShownHours <= 1000000");
                    table.CheckConstraint("CK_MeterReadings_NewMeter", "NewMeterShows IS NULL OR (NewMeterShows >= 0 AND NewMeterShows <= 1000000)");
                    table.ForeignKey(
                        name: "FK_MeterReadings_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_MeterReadings_MeterReadings_ReplacesId",
                        column: x => x.ReplacesId,
                        principalTable: "MeterReadings",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_MeterReadings_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_MeterReadings_Visits_VisitId",
                        column: x => x.VisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Readings",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    Stage = table.Column<int>(type: "INTEGER", nullable: false),
                    EngineId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    ReadingId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    LowerMm = table.Column<double>(type: "REAL", nullable: true),
                    UpperMm = table.Column<double>(type: "REAL", nullable: true),
                    EstimateMm = table.Column<double>(type: "REAL", nullable: true),
                    UncertaintyMm = table.Column<double>(type: "REAL", nullable: true),
                    Dragged = table.Column<bool>(type: "INTEGER", nullable: false),
                    By = table.Column<byte[]>(type: "BLOB", nullable: false),
                    At = table.Column<long>(type: "INTEGER", nullable: false),
                    LeftWhy = table.Column<string>(type: "TEXT", nullable: true),
                    PartChanged = table.Column<bool>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Readings", x => new { x.VisitKey, x.Point, x.Stage });
                    table.CheckConstraint("CK_Readings_Gap", "(LowerMm IS NULL OR LowerMm >= 0) AND (UpperMm IS NULL OR LowerMm IS NULL OR UpperMm >= LowerMm)");
                    table.ForeignKey(
                        name: "FK_Readings_Engines_EngineId",
                        column: x => x.EngineId,
                        principalTable: "Engines",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Readings_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "SameGaps",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    Gap = table.Column<int>(type: "INTEGER", nullable: false),
                    Reading = table.Column<int>(type: "INTEGER", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    By = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Mm = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_SameGaps", x => new { x.VisitKey, x.Gap, x.Reading });
                    table.ForeignKey(
                        name: "FK_SameGaps_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimJobEvents",
                columns: table => new
                {
                    Key = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    ActId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    JobId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Kind = table.Column<string>(type: "TEXT", nullable: false),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Who = table.Column<string>(type: "TEXT", nullable: false),
                    Why = table.Column<string>(type: "TEXT", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimJobEvents", x => x.Key);
                    table.ForeignKey(
                        name: "FK_ShimJobEvents_ShimJobs_JobId",
                        column: x => x.JobId,
                        principalTable: "ShimJobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_ShimJobEvents_Visits_VisitId",
                        column: x => x.VisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "ShimPlaces",
                columns: table => new
                {
                    JobId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    VisitId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    Point = table.Column<string>(type: "TEXT", nullable: false),
                    Order = table.Column<int>(type: "INTEGER", nullable: false),
                    OldMm = table.Column<double>(type: "REAL", nullable: false),
                    NewMm = table.Column<double>(type: "REAL", nullable: false),
                    FoundMm = table.Column<double>(type: "REAL", nullable: false),
                    PredictedMm = table.Column<double>(type: "REAL", nullable: false),
                    Origin = table.Column<string>(type: "TEXT", nullable: false),
                    FromPoint = table.Column<string>(type: "TEXT", nullable: true),
                    FromVisitId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    DrawerId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    ActId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    OldIsOver = table.Column<bool>(type: "INTEGER", nullable: false),
                    OverActId = table.Column<byte[]>(type: "BLOB", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_ShimPlaces", x => new { x.JobId, x.VisitId, x.Point });
                    table.CheckConstraint("CK_ShimPlaces_Sizes", "OldMm > 0 AND NewMm > 0");
                    table.ForeignKey(
                        name: "FK_ShimPlaces_ShimDrawers_DrawerId",
                        column: x => x.DrawerId,
                        principalTable: "ShimDrawers",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_ShimPlaces_ShimJobs_JobId",
                        column: x => x.JobId,
                        principalTable: "ShimJobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_ShimPlaces_Visits_FromVisitId",
                        column: x => x.FromVisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_ShimPlaces_Visits_VisitId",
                        column: x => x.VisitId,
                        principalTable: "Visits",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "VisitInstruments",
                columns: table => new
                {
                    VisitKey = table.Column<long>(type: "INTEGER", nullable: false),
                    NameKey = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_VisitInstruments", x => new { x.VisitKey, x.NameKey });
                    table.ForeignKey(
                        name: "FK_VisitInstruments_Visits_VisitKey",
                        column: x => x.VisitKey,
                        principalTable: "Visits",
                        principalColumn: "Key",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "Placements",
                columns: table => new
                {
                    JobId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    PersonId = table.Column<byte[]>(type: "BLOB", nullable: false),
                    MateId = table.Column<byte[]>(type: "BLOB", nullable: true),
                    Date = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    LastDate = table.Column<DateOnly>(type: "TEXT", nullable: false),
                    Pinned = table.Column<bool>(type: "INTEGER", nullable: false),
                    Because = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_Placements", x => x.JobId);
                    table.ForeignKey(
                        name: "FK_Placements_Jobs_JobId",
                        column: x => x.JobId,
                        principalTable: "Jobs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Placements_People_MateId",
                        column: x => x.MateId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                    table.ForeignKey(
                        name: "FK_Placements_People_PersonId",
                        column: x => x.PersonId,
                        principalTable: "People",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateIndex(
                name: "IX_Away_MachineId",
                table: "Away",
                column: "MachineId");

            migrationBuilder.CreateIndex(
                name: "IX_Away_PersonId",
                table: "Away",
                column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_Calls_ClosedAt",
                table: "Calls",
                column: "ClosedAt");

            migrationBuilder.CreateIndex(
                name: "IX_Calls_EngineId",
                table: "Calls",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_Calls_VisitId",
                table: "Calls",
                column: "VisitId");

            migrationBuilder.CreateIndex(
                name: "IX_Changes_SubjectId_Id",
                table: "Changes",
                columns: new[] { "SubjectId", "Id" });

            migrationBuilder.CreateIndex(
                name: "IX_Contexts_EngineId",
                table: "Contexts",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_EngineFigures_EngineId",
                table: "EngineFigures",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_EngineTypes_NameKey",
                table: "EngineTypes",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Engines_EngineTypeId",
                table: "Engines",
                column: "EngineTypeId");

            migrationBuilder.CreateIndex(
                name: "IX_Engines_MachineId",
                table: "Engines",
                column: "MachineId");

            migrationBuilder.CreateIndex(
                name: "IX_Engines_NameKey",
                table: "Engines",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Entries_VisitKey_Id",
                table: "Entries",
                columns: new[] { "VisitKey", "Id" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_FeelChecks_PersonId",
                table: "FeelChecks",
                column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_HoursReports_EngineId",
                table: "HoursReports",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_HoursReports_State_ReceivedAt",
                table: "HoursReports",
                columns: new[] { "State", "ReceivedAt" });

            migrationBuilder.CreateIndex(
                name: "IX_Instruments_NameKey",
                table: "Instruments",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_AfterJobId",
                table: "Jobs",
                column: "AfterJobId");

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_EngineId",
                table: "Jobs",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_State",
                table: "Jobs",
                column: "State");

            migrationBuilder.CreateIndex(
                name: "IX_Jobs_VisitId",
                table: "Jobs",
                column: "VisitId");

            migrationBuilder.CreateIndex(
                name: "IX_LashPoints_EngineTypeId_Label",
                table: "LashPoints",
                columns: new[] { "EngineTypeId", "Label" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_MachineAliases_EngineId",
                table: "MachineAliases",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_Machines_NameKey",
                table: "Machines",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Machines_SiteId",
                table: "Machines",
                column: "SiteId");

            migrationBuilder.CreateIndex(
                name: "IX_Marks_EngineId",
                table: "Marks",
                column: "EngineId");

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_EngineId_Date_Sequence",
                table: "MeterReadings",
                columns: new[] { "EngineId", "Date", "Sequence" });

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_PersonId",
                table: "MeterReadings",
                column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_ReplacesId",
                table: "MeterReadings",
                column: "ReplacesId",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_MeterReadings_VisitId",
                table: "MeterReadings",
                column: "VisitId",
                unique: true,
                filter: "VisitId IS NOT NULL AND Withdrawn = 0");

            migrationBuilder.CreateIndex(
                name: "IX_Outlooks_EngineTypeId",
                table: "Outlooks",
                column: "EngineTypeId");

            migrationBuilder.CreateIndex(
                name: "IX_People_NameKey",
                table: "People",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Placements_MateId",
                table: "Placements",
                column: "MateId");

            migrationBuilder.CreateIndex(
                name: "IX_Placements_PersonId",
                table: "Placements",
                column: "PersonId");

            migrationBuilder.CreateIndex(
                name: "IX_Readings_EngineId_Point",
                table: "Readings",
                columns: new[] { "EngineId", "Point" });

            migrationBuilder.CreateIndex(
                name: "IX_Roads_ToId",
                table: "Roads",
                column: "ToId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimDrawers_NameKey",
                table: "ShimDrawers",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_ShimDrawers_SiteId",
                table: "ShimDrawers",
                column: "SiteId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobEvents_ActId",
                table: "ShimJobEvents",
                column: "ActId",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobEvents_JobId",
                table: "ShimJobEvents",
                column: "JobId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobEvents_VisitId",
                table: "ShimJobEvents",
                column: "VisitId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobs_DrawerId",
                table: "ShimJobs",
                column: "DrawerId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimJobs_SiteId",
                table: "ShimJobs",
                column: "SiteId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimMovements_ActId",
                table: "ShimMovements",
                column: "ActId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimMovements_DrawerId_Access_SizeMm",
                table: "ShimMovements",
                columns: new[] { "DrawerId", "Access", "SizeMm" });

            migrationBuilder.CreateIndex(
                name: "IX_ShimPlaces_DrawerId",
                table: "ShimPlaces",
                column: "DrawerId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimPlaces_FromVisitId",
                table: "ShimPlaces",
                column: "FromVisitId");

            migrationBuilder.CreateIndex(
                name: "IX_ShimPlaces_VisitId",
                table: "ShimPlaces",
                column: "VisitId");

            migrationBuilder.CreateIndex(
                name: "IX_Sites_NameKey",
                table: "Sites",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_SpecRevisions_EngineTypeId_RevisionKey_Condition",
                table: "SpecRevisions",
                columns: new[] { "EngineTypeId", "RevisionKey", "Condition" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_StandbyGroups_NameKey",
                table: "StandbyGroups",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Tools_NameKey",
                table: "Tools",
                column: "NameKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_VisitInstruments_NameKey",
                table: "VisitInstruments",
                column: "NameKey");

            migrationBuilder.CreateIndex(
                name: "IX_Visits_ContextId",
                table: "Visits",
                column: "ContextId");

            migrationBuilder.CreateIndex(
                name: "IX_Visits_EngineId_TotalHours",
                table: "Visits",
                columns: new[] { "EngineId", "TotalHours" });

            migrationBuilder.CreateIndex(
                name: "IX_Visits_ImportKey",
                table: "Visits",
                column: "ImportKey",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_Visits_Open",
                table: "Visits",
                column: "EngineId",
                unique: true,
                filter: "State = 'Open'");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "Away");

            migrationBuilder.DropTable(
                name: "Blobs");

            migrationBuilder.DropTable(
                name: "Calls");

            migrationBuilder.DropTable(
                name: "Changes");

            migrationBuilder.DropTable(
                name: "EngineFigures");

            migrationBuilder.DropTable(
                name: "Entries");

            migrationBuilder.DropTable(
                name: "FeelChecks");

            migrationBuilder.DropTable(
                name: "Fleet");

            migrationBuilder.DropTable(
                name: "HoursFeeds");

            migrationBuilder.DropTable(
                name: "HoursReports");

            migrationBuilder.DropTable(
                name: "Instruments");

            migrationBuilder.DropTable(
                name: "LashPoints");

            migrationBuilder.DropTable(
                name: "LockPairs");

            migrationBuilder.DropTable(
                name: "MachineAliases");

            migrationBuilder.DropTable(
                name: "Marks");

            migrationBuilder.DropTable(
                name: "MeterReadings");

            migrationBuilder.DropTable(
                name: "Outlooks");

            migrationBuilder.DropTable(
                name: "Placements");

            migrationBuilder.DropTable(
                name: "PlanVersions");

            migrationBuilder.DropTable(
                name: "Readings");

            migrationBuilder.DropTable(
                name: "RefusedEntries");

            migrationBuilder.DropTable(
                name: "Roads");

            migrationBuilder.DropTable(
                name: "SameGaps");

            migrationBuilder.DropTable(
                name: "ShimJobEvents");

            migrationBuilder.DropTable(
                name: "ShimMovements");

            migrationBuilder.DropTable(
                name: "ShimPlaces");

            migrationBuilder.DropTable(
                name: "SpecRevisions");

            migrationBuilder.DropTable(
                name: "StandbyGroups");

            migrationBuilder.DropTable(
                name: "Tools");

            migrationBuilder.DropTable(
                name: "TypeFits");

            migrationBuilder.DropTable(
                name: "VisitInstruments");

            migrationBuilder.DropTable(
                name: "Jobs");

            migrationBuilder.DropTable(
                name: "People");

            migrationBuilder.DropTable(
                name: "ShimJobs");

            migrationBuilder.DropTable(
                name: "Visits");

            migrationBuilder.DropTable(
                name: "ShimDrawers");

            migrationBuilder.DropTable(
                name: "Contexts");

            migrationBuilder.DropTable(
                name: "Engines");

            migrationBuilder.DropTable(
                name: "EngineTypes");

            migrationBuilder.DropTable(
                name: "Machines");

            migrationBuilder.DropTable(
                name: "Sites");
        }
    }
}
