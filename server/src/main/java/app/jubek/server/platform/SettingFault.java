package app.jubek.server.platform;

import java.util.Optional;
import java.util.stream.Stream;

/** A setting that is missing or can't be used. */
public final class SettingFault extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private SettingFault(String message) {
        super(message + " Correct it in the settings; docs/configuration.md names all of them.");
    }

    static SettingFault missing(String setting) {
        return new SettingFault("The setting " + setting + " is missing.");
    }

    /**
     * @param why a clause that names the value
     */
    public static SettingFault unusable(String setting, String why) {
        return new SettingFault("The setting " + setting + " can't be used: " + why + ".");
    }

    /** The fault behind a start that failed. */
    public static Optional<SettingFault> behind(Throwable failed) {
        return Stream.iterate(failed, cause -> cause != null, Throwable::getCause)
                .filter(SettingFault.class::isInstance)
                .map(SettingFault.class::cast)
                .findFirst();
    }
}
