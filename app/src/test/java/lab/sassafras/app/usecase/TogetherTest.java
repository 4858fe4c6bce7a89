package lab.sassafras.app.usecase;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** What comes at once is kept in one commit, and nobody answers for another. */
class TogetherTest {

    private static final int MANY = 20;

    private final AtomicInteger commits = new AtomicInteger();
    private final AtomicInteger undone = new AtomicInteger();
    private final Together together = new Together(new TransactionTemplate(transactions()));
    private final ExecutorService hands = Executors.newCachedThreadPool();

    private PlatformTransactionManager transactions() {
        PlatformTransactionManager counting = mock(PlatformTransactionManager.class);
        when(counting.getTransaction(any())).thenReturn(mock(TransactionStatus.class));
        org.mockito.Mockito.doAnswer(call -> commits.incrementAndGet())
                .when(counting)
                .commit(any());
        org.mockito.Mockito.doAnswer(call -> undone.incrementAndGet())
                .when(counting)
                .rollback(any());
        return counting;
    }

    @AfterEach
    void leave() {
        hands.shutdownNow();
    }

    /** While the first is being kept, so many wait; what the seventh of them does is its own affair. */
    private List<CompletableFuture<Integer>> atOnce(int many, Runnable seventh) throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        CompletableFuture<Integer> first = CompletableFuture.supplyAsync(
                () -> together.keep(() -> {
                    begun.countDown();
                    try {
                        assertThat(go.await(10, TimeUnit.SECONDS)).isTrue();
                    } catch (InterruptedException stopped) {
                        throw new IllegalStateException(stopped);
                    }
                    return -1;
                }),
                hands);
        begun.await();
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        AtomicInteger waiting = new AtomicInteger();
        for (int i = 0; i < many; i++) {
            int own = i;
            all.add(CompletableFuture.supplyAsync(
                    () -> {
                        waiting.incrementAndGet();
                        return together.keep(() -> {
                            if (own == 7) {
                                seventh.run();
                            }
                            return own;
                        });
                    },
                    hands));
        }
        while (waiting.get() < many) {
            Thread.sleep(1);
        }
        // between saying that they come and waiting lies next to nothing
        Thread.sleep(100);
        go.countDown();
        assertThat(first.join()).isEqualTo(-1);
        return all;
    }

    @Test
    void whatWaitsIsKeptInOneCommitAndEachHasItsOwnAnswer() throws InterruptedException {
        List<CompletableFuture<Integer>> all = atOnce(MANY, () -> {});
        for (int i = 0; i < MANY; i++) {
            assertThat(all.get(i).join()).isEqualTo(i);
        }
        assertThat(commits).hasValue(2);
    }

    @Test
    void whatIsRefusedIsAnsweredSoAndTheOthersAreKeptWithIt() throws InterruptedException {
        List<CompletableFuture<Integer>> all = atOnce(MANY, () -> {
            throw new NotPushed(401, "Nobody knows this token.");
        });
        for (int i = 0; i < MANY; i++) {
            CompletableFuture<Integer> each = all.get(i);
            if (i == 7) {
                assertThatThrownBy(each::join).hasRootCauseInstanceOf(NotPushed.class);
            } else {
                assertThat(each.join()).isEqualTo(i);
            }
        }
        assertThat(commits).hasValue(2);
    }

    @Test
    void whereOneFailsNothingOfThatCommitIsKeptAndEachIsDoneByItself() throws InterruptedException {
        List<CompletableFuture<Integer>> all = atOnce(MANY, () -> {
            throw new IllegalStateException("a disk that is full");
        });
        for (int i = 0; i < MANY; i++) {
            CompletableFuture<Integer> each = all.get(i);
            if (i == 7) {
                assertThatThrownBy(each::join).hasRootCauseMessage("a disk that is full");
            } else {
                assertThat(each.join()).isEqualTo(i);
            }
        }
        assertThat(undone).as("the one of all, and its own").hasValue(2);
        assertThat(commits).as("the first, and each of the others").hasValue(MANY);
    }

    @Test
    void noMoreThanSixtyFourAreKeptInOneCommit() throws InterruptedException {
        List<CompletableFuture<Integer>> most = atOnce(64, () -> {});
        most.forEach(CompletableFuture::join);
        assertThat(commits).as("the first, and all the others").hasValue(2);
        List<CompletableFuture<Integer>> more = atOnce(65, () -> {});
        more.forEach(CompletableFuture::join);
        assertThat(commits).as("one was too many for the second").hasValue(2 + 3);
        assertThat(undone).hasValue(0);
    }
}
