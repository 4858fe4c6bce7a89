/**
 * What was read in one entry, and what follows from that alone: what stands where, what is still asked, how each
 * quantity was got, every number with its uncertainty.
 *
 * <p>Rule: storing admits ({@link lab.sassafras.sheet.Admission}, by way of {@link
 * lab.sassafras.sheet.SheetEditing}), reading forgives ({@link lab.sassafras.sheet.SheetReader}). A sheet is never
 * changed, and draws up no books.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.sheet;
