package ivrik.cli;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.Configurator;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.Context;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.spi.ContextAware;
import ch.qos.logback.core.spi.ContextAwareBase;
import ch.qos.logback.core.spi.LifeCycle;
import ch.qos.logback.core.util.Duration;
import ch.qos.logback.core.util.FileSize;

import org.slf4j.Logger;

/**
 * Configures the log: a file and its predecessor, at the path in the property {@code ivrik.log}. Configured
 * in code because reading XML would slow down the start.
 */
public final class LogFile extends ContextAwareBase implements Configurator {
    private static final long MAX_BYTES = 2 << 20;

    @Override
    public ExecutionStatus configure(LoggerContext context) {
        String file =
                System.getProperty(
                        "ivrik.log", System.getProperty("java.io.tmpdir") + "/ivrik.log");
        RollingFileAppender<ILoggingEvent> log = new RollingFileAppender<>();
        log.setName("file");
        log.setFile(file);

        FixedWindowRollingPolicy oneBefore = new FixedWindowRollingPolicy();
        oneBefore.setFileNamePattern(file + ".%i");
        oneBefore.setMinIndex(1);
        oneBefore.setMaxIndex(1);
        oneBefore.setParent(log);
        log.setRollingPolicy(started(oneBefore, context));

        SizeBasedTriggeringPolicy<ILoggingEvent> whenLong = new SizeBasedTriggeringPolicy<>();
        whenLong.setMaxFileSize(new FileSize(MAX_BYTES));
        whenLong.setCheckIncrement(Duration.buildBySeconds(1));
        log.setTriggeringPolicy(started(whenLong, context));

        PatternLayoutEncoder line = new PatternLayoutEncoder();
        line.setPattern("%d %-5level %logger{24} %msg%n");
        line.setParent(log);
        log.setEncoder(started(line, context));

        context.getLogger(Logger.ROOT_LOGGER_NAME).setLevel(Level.INFO);
        context.getLogger(Logger.ROOT_LOGGER_NAME).addAppender(started(log, context));
        return ExecutionStatus.DO_NOT_INVOKE_NEXT_IF_ANY;
    }

    private static <T extends ContextAware & LifeCycle> T started(T part, Context context) {
        part.setContext(context);
        part.start();
        return part;
    }
}
