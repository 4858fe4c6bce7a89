/**
 * Places for what is read: addresses, the kinds of slot, what stands in one as a line, and what surrounds an entry's
 * readings.
 *
 * <p>Rule: a slot answers for itself what its text says, what number it stands for, how it is spoken and what there is
 * to choose; nobody asks which kind it is. Nothing here knows an experiment or what else stands on the sheet.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.slot;
