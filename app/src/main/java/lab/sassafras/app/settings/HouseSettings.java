package lab.sassafras.app.settings;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The house's own settings, under {@code sassafras.}.
 *
 * @param home        the folder everything is kept in
 * @param hosts       names the server may be reached by, beside those of this machine itself
 * @param workTime    how long the work for one request may take
 * @param arrivalTime how long what a request sends may take to arrive
 * @param hsts        whether browsers that came by HTTPS are told never to come otherwise
 * @param limits      how much is taken and kept at hand
 */
@ConfigurationProperties("sassafras")
public record HouseSettings(
        Path home,
        @DefaultValue List<String> hosts,
        @DefaultValue("10s") Duration workTime,
        @DefaultValue("30s") Duration arrivalTime,
        @DefaultValue("false") boolean hsts,
        @DefaultValue Limits limits) {}
