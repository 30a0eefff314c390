export default marketRoutes.list()
