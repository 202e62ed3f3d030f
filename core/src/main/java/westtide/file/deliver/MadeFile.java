package westtide.file.deliver;

import java.util.function.Function;

/**
 * A file that can be made at once.
 *
 * @param name what it is called
 * @param bytes what it holds, as the options say
 */
public record MadeFile(String name, Function<DeliverOptions, byte[]> bytes) {}
