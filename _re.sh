pkill -f _up.ts; rm -f /tmp/up.txt; (node --import tsx _up.ts > /tmp/up.log 2>&1 &); for i in $(seq 40); do [ -s /tmp/up.txt ] && break; sleep 0.5; done; sleep 1
