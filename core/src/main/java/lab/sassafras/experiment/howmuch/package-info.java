/** How much of something is needed, or what final temperature comes of it. Declares; computes nothing itself. */
package lab.sassafras.experiment.howmuch;
