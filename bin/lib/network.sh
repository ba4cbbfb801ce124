# The shop on its own network, for bin/start --network: nginx and PHP's process manager, over TLS with a certificate of
# the shop's own.

network_dir=${NETWORK_DIR:-storage/framework/network}
tls_dir=${TLS_DIR:-storage/app/tls}
BROTLI=/usr/lib/nginx/modules/ngx_http_brotli_static_module.so

# Its own start-up after installing is not wanted: this shop starts and stops it itself.
network_tool() { # command, what it is, Debian package, service
    command -v "$1" >/dev/null 2>&1 && return
    need_tool "$1" "$2" "$3"
    systemctl disable --now "$4" >/dev/null 2>&1 || service "$4" stop >/dev/null 2>&1 || true
}

need_network() {
    PATH=$PATH:/usr/sbin:/sbin
    local series
    series=$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')
    fpm=php-fpm$series
    need_tool openssl "OpenSSL" openssl
    if ! command -v nginx >/dev/null 2>&1; then
        network_tool nginx "nginx" nginx-light nginx
        # Packs scripts tighter; without it they go as gzip.
        (! as_root || apt_install libnginx-mod-http-brotli-static) 2>/dev/null || true
    fi
    network_tool "$fpm" "PHP's process manager" "php$series-fpm" "php$series-fpm"
}

# Names and addresses this machine goes by, with those somebody adds.
network_names() { # more, with commas
    {
        printf '%s\n' localhost 127.0.0.1
        hostname 2>/dev/null | tr 'A-Z' 'a-z'
        hostname 2>/dev/null | tr 'A-Z' 'a-z' | sed 's/$/.local/'
        hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^(10|127|169\.254|172\.(1[6-9]|2[0-9]|3[01])|192\.168)\.' || true
        printf '%s\n' "${1:-}" | tr ', ' '\n\n' | tr 'A-Z' 'a-z'
    } | grep -E '^[a-z0-9.-]+$' | sort -u
}

is_address() { [[ $1 =~ ^[0-9]+(\.[0-9]+){3}$ ]]; }

# The authority is made once and trusted on each tablet; it can vouch for this shop's names and for private addresses
# alone. The certificate is made anew where a name came up or it ends within a month.
make_certificate() { # names, one a line
    local names=$1 alt= name config i=0
    (umask 077 && mkdir -p "$tls_dir")
    chmod 700 "$tls_dir"
    config=$(mktemp)
    if [ ! -s "$tls_dir/ca.key" ] || [ ! -s "$tls_dir/ca.crt" ] || { [ -s "$tls_dir/names" ] && grep -vE '^[0-9.]+$' <<<"$names" | grep -qvxFf "$tls_dir/names"; }; then
        [ ! -s "$tls_dir/ca.crt" ] || say "The shop goes by a new name: trust its certificate anew on the other devices."
        local allowed="permitted;IP.1=10.0.0.0/255.0.0.0,permitted;IP.2=172.16.0.0/255.240.0.0,permitted;IP.3=192.168.0.0/255.255.0.0,permitted;IP.4=127.0.0.0/255.0.0.0,permitted;IP.5=169.254.0.0/255.255.0.0"
        {
            printf '[req]\ndistinguished_name=dn\nprompt=no\nx509_extensions=ca\n[dn]\nCN=Oldpart Fit of %s\n' "$(hostname)"
            printf '[ca]\nbasicConstraints=critical,CA:TRUE,pathlen:0\nkeyUsage=critical,keyCertSign,cRLSign\nsubjectKeyIdentifier=hash\nnameConstraints=critical,@allowed\n[allowed]\n'
            printf '%s\n' "$allowed" | tr ',' '\n'
            for name in $names; do
                is_address "$name" || printf 'permitted;DNS.%d=%s\n' $((i += 1)) "$name"
            done
        } >"$config"
        (umask 077 && openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -days 3650 -config "$config" -keyout "$tls_dir/ca.key" -out "$tls_dir/ca.crt" 2>/dev/null) || stop "The shop's certificate could not be made in $tls_dir."
        rm -f "$tls_dir/site.crt"
    fi
    if [ ! -s "$tls_dir/site.crt" ] || ! openssl x509 -checkend 2592000 -noout -in "$tls_dir/site.crt" >/dev/null || [ "$names" != "$(cat "$tls_dir/names" 2>/dev/null)" ]; then
        for name in $names; do
            if is_address "$name"; then alt="$alt,IP:$name"; else alt="$alt,DNS:$name"; fi
        done
        printf 'basicConstraints=critical,CA:FALSE\nkeyUsage=critical,digitalSignature\nextendedKeyUsage=serverAuth\nsubjectAltName=%s\n' "${alt#,}" >"$config"
        (
            umask 077
            openssl req -new -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -subj "/CN=Oldpart Fit" -keyout "$tls_dir/site.key" -out "$tls_dir/site.csr" 2>/dev/null &&
                openssl x509 -req -in "$tls_dir/site.csr" -CA "$tls_dir/ca.crt" -CAkey "$tls_dir/ca.key" -CAcreateserial -days 397 -extfile "$config" -out "$tls_dir/site.crt" 2>/dev/null
        ) || stop "The shop's certificate could not be made in $tls_dir."
        printf '%s\n' "$names" >"$tls_dir/names"
    fi
    rm -f "$config" "$tls_dir/site.csr"
}

# What both servers are told, written anew at each start.
configure_network() { # https port, http port, names
    local root as_user= as_user_nginx= hosts asked_for brotli= brotli_static=
    root=$(pwd)
    mkdir -p "$network_dir/tmp"
    network_dir=$(cd "$network_dir" && pwd)
    tls_dir=$(cd "$tls_dir" && pwd)
    hosts=$(tr '\n' ',' <<<"$3")
    sockets=$(mktemp -d "${TMPDIR:-/tmp}/oldpart-fit.XXXXXX")
    if [ "$(id -u)" = 0 ]; then
        as_user=$'user = root\ngroup = root'
        as_user_nginx="user root;"
    fi
    if [ -f "$BROTLI" ]; then
        brotli="load_module $BROTLI;"
        brotli_static="brotli_static on;"
    fi
    # shellcheck disable=SC2016 # nginx reads it
    asked_for='$host'
    [ "$1" = 443 ] || asked_for="$asked_for:$1"
    cat >"$network_dir/php.conf" <<CONF
[global]
error_log = $root/storage/logs/php.log
daemonize = no
[shop]
$as_user
listen = $sockets/php.sock
listen.mode = 0600
pm = static
pm.max_children = 6
pm.max_requests = 2000
clear_env = no
catch_workers_output = yes
env[SHOP_NETWORK] = 1
env[ALLOWED_HOSTS] = "${hosts%,}"
php_admin_value[max_execution_time] = 20
php_admin_value[memory_limit] = 512M
php_admin_value[post_max_size] = 24M
php_admin_flag[display_errors] = off
php_admin_flag[expose_php] = off
php_admin_flag[opcache.enable] = on
php_admin_flag[opcache.validate_timestamps] = on
CONF
    cat >"$network_dir/nginx.conf" <<CONF
$brotli
$as_user_nginx
worker_processes 2;
pid $sockets/nginx.pid;
error_log $root/storage/logs/nginx.log warn;
events { worker_connections 512; }
http {
    include /etc/nginx/mime.types;
    default_type application/octet-stream;
    access_log off;
    server_tokens off;
    sendfile on;
    gzip_static on;
    $brotli_static
    client_max_body_size 24m;
    client_body_temp_path $network_dir/tmp/body;
    fastcgi_temp_path $network_dir/tmp/fastcgi;
    proxy_temp_path $network_dir/tmp/proxy;
    uwsgi_temp_path $network_dir/tmp/uwsgi;
    scgi_temp_path $network_dir/tmp/scgi;
    client_header_timeout 15s;
    client_body_timeout 60s;
    ssl_protocols TLSv1.2 TLSv1.3;
    ssl_session_cache shared:tls:2m;
    ssl_session_tickets off;
    server {
        listen $1 ssl http2;
        ssl_certificate $tls_dir/site.crt;
        ssl_certificate_key $tls_dir/site.key;
        root $root/public;
        location ^~ /build/assets/ {
            add_header Cache-Control "public, max-age=31536000, immutable";
            add_header X-Content-Type-Options nosniff;
        }
        location ~ ^/(mark\\.svg|icon-[0-9]+\\.png)\$ { add_header X-Content-Type-Options nosniff; }
        location / {
            fastcgi_pass unix:$sockets/php.sock;
            fastcgi_read_timeout 60s;
            fastcgi_param QUERY_STRING \$query_string;
            fastcgi_param REQUEST_METHOD \$request_method;
            fastcgi_param CONTENT_TYPE \$content_type;
            fastcgi_param CONTENT_LENGTH \$content_length;
            fastcgi_param REQUEST_URI \$request_uri;
            fastcgi_param DOCUMENT_ROOT \$document_root;
            fastcgi_param SERVER_PROTOCOL \$server_protocol;
            fastcgi_param REQUEST_SCHEME https;
            fastcgi_param HTTPS on;
            fastcgi_param REMOTE_ADDR \$remote_addr;
            fastcgi_param SERVER_NAME \$host;
            fastcgi_param SERVER_PORT $1;
            # As the server read it, not as it was sent.
            fastcgi_param HTTP_HOST $asked_for;
            fastcgi_param SCRIPT_FILENAME $root/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_param HTTP_PROXY "";
        }
    }
    # The certificate to trust, and the way to the shop; nothing else without TLS.
    server {
        listen $2;
        location = /trust.crt {
            alias $tls_dir/ca.crt;
            default_type application/x-x509-ca-cert;
        }
        location / { return 301 https://\$host:$1\$request_uri; }
    }
}
CONF
    nginx -e storage/logs/nginx.log -t -q -c "$network_dir/nginx.conf" 2>>storage/logs/nginx.log || stop "nginx does not take what it was told: $(tail -n 2 storage/logs/nginx.log)"
}

serve_network() {
    local allow=()
    [ "$(id -u)" != 0 ] || allow=(-R)
    set -m
    "$fpm" "${allow[@]}" --nodaemonize --fpm-config "$network_dir/php.conf" </dev/null 2>>storage/logs/php.log &
    php_server=$!
    # Nobody is let in before there is somebody to answer.
    for _ in $(seq 100); do
        [ ! -S "$sockets/php.sock" ] || break
        sleep 0.1
    done
    nginx -e "$(pwd)/storage/logs/nginx.log" -c "$network_dir/nginx.conf" -g 'daemon off;' </dev/null 2>>storage/logs/nginx.log &
    web_server=$!
    set +m
    printf '%s %s %s\n' "$$" "$php_server" "$web_server" >"$network_dir/servers.pid"
}

# Servers of a start that was killed hold the ports still.
end_network_left_behind() {
    local starter groups group
    [ -f "$network_dir/servers.pid" ] || return 0
    read -r starter groups <"$network_dir/servers.pid" || return 0
    kill -0 "$starter" 2>/dev/null && grep -qs bin/start "/proc/$starter/cmdline" && return 0
    for group in $groups; do
        grep -qsE 'php-fpm|nginx' "/proc/$group/cmdline" && kill -- "-$group" 2>/dev/null
    done
    rm -f "$network_dir/servers.pid"
    sleep 0.3
}

end_network() {
    kill -- "-${web_server:-}" "-${php_server:-}" 2>/dev/null
    rm -rf "${sockets:-}" "$network_dir/servers.pid"
    return 0
}

# Starts both, and starts them anew where one of them was ended.
keep_serving_network() {
    local soon=0 began
    while :; do
        serve_network
        began=$(date +%s)
        while kill -0 "$php_server" 2>/dev/null && kill -0 "$web_server" 2>/dev/null; do
            sleep 1 &
            wait $! || true
        done
        kill -- "-$php_server" "-$web_server" 2>/dev/null || true
        wait "$php_server" "$web_server" 2>/dev/null || true
        if [ $(($(date +%s) - began)) -lt 5 ]; then soon=$((soon + 1)); else soon=0; fi
        [ $soon -lt 4 ] || stop "The server stopped again and again. The reason is in storage/logs/nginx.log and php.log: $(tail -n 2 storage/logs/nginx.log storage/logs/php.log 2>/dev/null)"
        say "A server was ended: it is started anew."
    done
}
