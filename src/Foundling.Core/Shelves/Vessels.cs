using Foundling.Core.Stores;

namespace Foundling.Core.Shelves;

/// <summary>What something stands in on the shelf, for drawing it.</summary>
public enum Vessel
{
    /// <summary>A bottle, for what is poured.</summary>
    Bottle,

    /// <summary>A tin, for what is put on.</summary>
    Tin,

    /// <summary>A jar, for powders and pastes.</summary>
    Jar,

    /// <summary>A stack of sheets.</summary>
    Stack,

    /// <summary>A box of single things.</summary>
    Box,

    /// <summary>A roll.</summary>
    Roll,

    /// <summary>A slab: a stone or a plate.</summary>
    Slab,

    /// <summary>A belt.</summary>
    Belt,

    /// <summary>A wheel.</summary>
    Wheel,

    /// <summary>A hook to hang kit on.</summary>
    Hook,
}

/// <summary>How a thing of the stores is drawn.</summary>
public static class Vessels
{
    /// <summary>What it stands in.</summary>
    public static Vessel Of(StoreItem item)
    {
        Supply supply = item.Supply;
        AbrasiveForm? form = item.Coarseness?.Form;
        return form is AbrasiveForm.Stone or AbrasiveForm.Plate ? Vessel.Slab
            : form == AbrasiveForm.Belt ? Vessel.Belt
            : form == AbrasiveForm.Wheel || supply.Id == SupplyIds.WireWheel || supply.Id == SupplyIds.BuffingWheel ? Vessel.Wheel
            : supply.Class == SupplyClass.Abrasive && supply.Kit ? Vessel.Slab
            : supply.Kit ? Vessel.Hook
            : supply.Unit switch
            {
                "mL" or "L" => supply.Class == SupplyClass.Finish ? Vessel.Tin : Vessel.Bottle,
                "g" or "kg" => Vessel.Jar,
                "sheets" => Vessel.Stack,
                "m" => Vessel.Roll,
                _ => Vessel.Box,
            };
    }

    /// <summary>The amount it is drawn full at, in its unit: a pack, twice the least to keep, or what is there, whichever is most.</summary>
    public static double Full(StoreItem item) => new[] { item.Pack ?? 0, 2 * (item.Least ?? 0), item.Amount ?? 0, 1 }.Max();
}
