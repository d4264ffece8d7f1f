namespace Foundling.Core.Rod;

/// <summary>Steps that are done in one go, without a break.</summary>
public enum Block
{
    /// <summary>Wet bare iron, from the bath to the oil.</summary>
    OutOfTheBath,

    /// <summary>Blasted iron, from the cabinet to the oil.</summary>
    OutOfTheCabinet,

    /// <summary>A bare edge, from the stone to its cover.</summary>
    HonedAndCovered,
}

/// <summary>Blocks in words.</summary>
public static class Blocks
{
    /// <summary>What a block is, as it is written above its steps.</summary>
    public static string Words(Block block) => block switch
    {
        Block.OutOfTheBath => "out of the bath",
        Block.OutOfTheCabinet => "out of the cabinet",
        _ => "honed and covered",
    };
}
