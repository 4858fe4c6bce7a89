package lab.sassafras.app.storage;

import java.net.Socket;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import javax.net.ssl.HttpsURLConnection;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLEngine;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509ExtendedTrustManager;

/**
 * Talks to the server of this very machine, whose certificate may be one it made itself. Nobody else is asked so: the
 * address is a loopback one, and which port it is stands in a file that only the owner of the book can write.
 */
final class OwnMachine extends X509ExtendedTrustManager {

    private OwnMachine() {}

    static void trusted(HttpsURLConnection connection) {
        try {
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(null, new TrustManager[] {new OwnMachine()}, new SecureRandom());
            connection.setSSLSocketFactory(context.getSocketFactory());
            connection.setHostnameVerifier((name, session) -> true);
        } catch (GeneralSecurityException none) {
            throw new IllegalStateException(none);
        }
    }

    @Override
    public X509Certificate[] getAcceptedIssuers() {
        return new X509Certificate[0];
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type) {
        // nobody is let in here
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type) {
        // this machine is asked by itself
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type, Socket socket) {
        // nobody is let in here
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type, Socket socket) {
        // this machine is asked by itself
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type, SSLEngine engine) {
        // nobody is let in here
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type, SSLEngine engine) {
        // this machine is asked by itself
    }
}
