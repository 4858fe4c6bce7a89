package lab.sassafras.yardstick;

import java.util.List;
import lab.sassafras.substance.Reference;

/**
 * A further result of the same books that was made from tabulated values typed beside it, of either sign.
 *
 * @param symbol as it is written
 */
public record ToldBeside(String symbol) implements Yardstick {

    @Override
    public Parts parts(Judged judged) {
        return Parts.beside(
                List.of(),
                judged.solved().derived().stream()
                        .filter(each -> each.derived().symbol().text().equals(symbol))
                        .findFirst()
                        .map(each -> new Reference(
                                symbol,
                                each.derived().label(),
                                each.estimate().value(),
                                each.estimate().uncertainty(),
                                each.derived().unit(),
                                "tables typed beside it",
                                true)),
                Parts.Compared.QUIETLY);
    }
}
