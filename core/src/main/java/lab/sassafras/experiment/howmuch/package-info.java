/** How much of something is needed, or what final temperature comes of it. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.howmuch;
