export default orderRoutes.restore()
