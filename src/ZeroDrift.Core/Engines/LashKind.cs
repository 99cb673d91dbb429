namespace ZeroDrift.Core.Engines;

/// <summary>What a lash point drives.</summary>
public enum LashKind
{
    /// <summary>One intake valve, or a pair under one bridge.</summary>
    Intake,

    /// <summary>One exhaust valve, or a pair under one bridge.</summary>
    Exhaust,

    /// <summary>A unit injector: preload, not a gap; on a four-stroke placed by the book only.</summary>
    Injector,

    /// <summary>An engine-brake slave piston; placed by the book only.</summary>
    EngineBrake,
}

/// <summary>Names as they are spoken; the letters are the book's (<see cref="BookLetters"/>).</summary>
public static class LashKinds
{
    /// <summary>The word in a sentence.</summary>
    public static string Word(this LashKind kind) => kind switch
    {
        LashKind.Intake => "intake",
        LashKind.Exhaust => "exhaust",
        LashKind.Injector => "injector",
        _ => "engine brake",
    };
}
